<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Pulse;

/**
 * Finds from a channel log which stick rides on which channel.
 *
 * The user moved known sticks one after another, each to both ends and back, up, right or forward first.
 */
final readonly class MovementAnalysis
{
    /** A centred stick may rest this far from 1500 µs. */
    private const OFF_CENTRE_US = 10.0;

    /** A stick without a spring rests within this of one of its ends (µs). */
    private const AT_END_US = 150.0;

    /** @var list<Movement> */
    private array $movements;

    /** @var array<int, FoundStick> By channel. */
    private array $assigned;

    /** @param  list<Letter>  $sequence The sticks in the sequence in which they were moved. */
    public function __construct(private ChannelLog $log, private array $sequence, private ?ChannelOrder $expected = null)
    {
        $this->movements = self::join($log->stretches());
        $this->assigned = $this->assign();
    }

    /** The order, if all four letters were found on channels 1–4. */
    public function order(): ?ChannelOrder
    {
        $byChannel = array_map(static fn (FoundStick $found): Letter => $found->letter, $this->assigned);
        $onFirstFour = array_filter($byChannel, static fn (int $channel): bool => $channel <= ChannelOrder::STICKS, ARRAY_FILTER_USE_KEY);

        return count($onFirstFour) === ChannelOrder::STICKS ? ChannelOrder::fromChannels($onFirstFour) : null;
    }

    public function answer(): MovementAnswer
    {
        return new MovementAnswer($this->order()?->toString(), $this->channels(), $this->findings());
    }

    /** @return list<MovedChannel> */
    public function channels(): array
    {
        return array_map(fn (int $index): MovedChannel => $this->channel($index + 1), array_keys($this->log->columns));
    }

    public function findings(): Findings
    {
        return $this->movementFindings()->and($this->orderFinding(), ...array_map($this->channelFindings(...), $this->channels()));
    }

    private function channel(int $channel): MovedChannel
    {
        $values = $this->log->columns[$channel - 1];
        $found = $this->assigned[$channel] ?? null;
        $rest = $this->log->rest($channel);

        $moved = max($values) - $rest > Pulse::MOVED_US || $rest - min($values) > Pulse::MOVED_US;

        return new MovedChannel($channel, $found?->letter, $found?->reversed, min($values), $rest, max($values), $moved);
    }

    /**
     * Stretches that overlap in time are one movement; so are neighbours on the same channels (out, through the middle, and back).
     *
     * @param  list<Movement>  $stretches
     * @return list<Movement>
     */
    private static function join(array $stretches): array
    {
        return self::joinWhile(
            self::joinWhile($stretches, static fn (Movement $a, Movement $b): bool => $a->overlaps($b)),
            static fn (Movement $a, Movement $b): bool => $a->channels() === $b->channels(),
        );
    }

    /**
     * @param  list<Movement>  $movements
     * @param  callable(Movement, Movement): bool  $belong
     * @return list<Movement>
     */
    private static function joinWhile(array $movements, callable $belong): array
    {
        $joined = [];
        $open = null;
        foreach ($movements as $movement) {
            if ($open !== null && $belong($open, $movement)) {
                $open = $open->joinedWith($movement);

                continue;
            }
            if ($open !== null) {
                $joined[] = $open;
            }
            $open = $movement;
        }

        return $open === null ? $joined : [...$joined, $open];
    }

    /** @return array<int, FoundStick> */
    private function assign(): array
    {
        if (count($this->movements) < count($this->sequence)) {
            return [];
        }
        $assigned = [];
        foreach ($this->sequence as $k => $letter) {
            $upFirst = $this->movements[$k]->upFirst;
            if (count($upFirst) === 1 && ! isset($assigned[array_key_first($upFirst)])) {
                $assigned[array_key_first($upFirst)] = new FoundStick($letter, ! reset($upFirst));
            }
        }

        return $assigned;
    }

    private function movementFindings(): Findings
    {
        $findings = [];
        foreach ($this->movements as $movement) {
            if (count($movement->channels()) > 1) {
                $findings[] = new Finding(Code::TwoMoved, Severity::Fix,
                    'Channels '.implode(' and ', $movement->channels()).' moved together.',
                    why: 'One stick should move one channel: a mix or a flight mode in the handset is still on.',
                    change: 'Turn mixes and handset flight modes off for this model, then move the sticks again.');
            }
        }
        $missing = count($this->sequence) - count($this->movements);
        if ($missing > 0) {
            $findings[] = new Finding(Code::NothingMoved, Severity::Fix,
                sprintf('%d stick movement(s) expected, %d seen.', count($this->sequence), count($this->movements)),
                why: 'A channel that stays still is dead, or the reader takes the wire for another format.',
                change: 'Check that the link is up and every stick moves a value, then move the sticks again, one at a time.');
        }

        return Findings::of(...$findings);
    }

    private function orderFinding(): ?Finding
    {
        $wrong = [];
        foreach ($this->assigned as $channel => $found) {
            if ($this->expected !== null && $this->expected->channelOf($found->letter) !== $channel) {
                $wrong[] = "{$found->letter->value} on channel $channel, not {$this->expected->channelOf($found->letter)}";
            }
        }
        if ($wrong === [] || $this->expected === null) {
            return null;
        }

        return new Finding(Code::OrderDiffers, Severity::Fix, 'The order differs: '.implode('; ', $wrong).'.',
            found: $this->order()?->toString(), expected: $this->expected->toString(),
            why: 'A stick would move something else than it should.');
    }

    private function channelFindings(MovedChannel $channel): Findings
    {
        if (! $channel->moved) {
            return Findings::none();
        }
        $findings = [];
        $name = "Channel $channel->channel";
        $us = static fn (float $value): string => round($value, 1).' µs';
        $atEnd = min($channel->rest - $channel->min, $channel->max - $channel->rest) <= self::AT_END_US;
        if ($channel->letter !== Letter::Throttle && ! $atEnd && abs($channel->rest - Pulse::CENTRE_US) > self::OFF_CENTRE_US) {
            $findings[] = new Finding(Code::RestOffCentre, Severity::Fix, "$name rests off centre.",
                found: $us($channel->rest), expected: '1490–1510 µs',
                why: 'A stabilised craft drifts; a servo holds its surface off neutral.', change: 'Centre trims and calibrate the sticks, then set the sub-trim.');
        }
        if ($channel->max - $channel->min < Pulse::SHORT_TRAVEL_US) {
            $findings[] = new Finding(Code::ShortTravel, Severity::Check, "$name travels only {$us($channel->max - $channel->min)}.",
                found: "{$us($channel->min)} to {$us($channel->max)}", expected: 'at least 800 µs',
                why: 'The craft never reaches full rate, or never arms.', change: 'Move the stick to both ends; if it did, raise the ends in the handset.');
        }
        if ($channel->min < Pulse::LOWEST_US || $channel->max > Pulse::HIGHEST_US) {
            $findings[] = new Finding(Code::OverTravel, Severity::Check, "$name goes beyond the usual range.",
                found: "{$us($channel->min)} to {$us($channel->max)}", expected: '900 to 2100 µs',
                why: 'Small servos are driven against their stops; a controller has dead ends on the stick.', change: 'Reduce the ends in the handset.');
        }

        return Findings::of(...$findings);
    }
}
