<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Pulse;

/** What is worth saying about a dance, in plain words. */
final readonly class DanceFindings
{
    private const OFF_CENTRE_US = 3.0;

    private const NOISY_US = 3.0;

    private const CLOSE_US = 100.0;

    /**
     * @param  list<MoveRead>  $moves
     * @param  list<ChannelRead>  $channels
     * @param  list<Way>  $atRest
     * @param  list<float>  $dropouts  When they begin, ms.
     */
    public function __construct(private array $moves, private array $channels, private ?string $order, private ?string $expected, private array $atRest, private array $dropouts)
    {
    }

    /** @return list<DanceFinding> */
    public function all(): array
    {
        return [
            ...$this->order(),
            ...array_merge(...array_map($this->move(...), $this->moves)),
            ...array_merge(...array_map($this->channel(...), $this->channels)),
            ...array_map(static fn (float $ms): DanceFinding => new DanceFinding(new Finding(Code::Dropout, Severity::Check, sprintf('The values say nothing of the sticks for a while, from %.1f s on.', $ms / 1000), null, 'values that change', 'What was moved meanwhile is not in the log.', 'Look for the sender or the lead; dance again what is missing.')), $this->dropouts),
            ...array_map(static fn (Way $way): DanceFinding => new DanceFinding(new Finding(Code::MovedAtRest, Severity::Note, "Channel {$way->line->channel} moved while hands were to be off.", sprintf('%.0f µs', $way->swingUs()), 'no movement'), $way->line->channel), $this->atRest),
        ];
    }

    /** @return list<DanceFinding> */
    private function order(): array
    {
        return $this->order === null || $this->expected === null || $this->order === $this->expected ? [] : [
            new DanceFinding(new Finding(Code::OrderDiffers, Severity::Fix, "The sticks arrive as $this->order.", $this->order, $this->expected, 'A stick moves another function than it should.', "Set the channel order to $this->expected, or the reader's to $this->order.")),
        ];
    }

    /** @return list<DanceFinding> */
    private function move(MoveRead $move): array
    {
        $also = $move->also();

        return $also === [] || $move->event === null ? [] : [
            new DanceFinding(new Finding(Code::TwoMoved, Severity::Check, 'Channel '.implode(' and ', $also)." moved with channel {$move->event->channel()}.", null, 'one channel', 'A mix may be on, or another stick was bumped.', 'Take mixes off, and make the move once more.'), $also[0]),
        ];
    }

    /** @return list<DanceFinding> */
    private function channel(ChannelRead $read): array
    {
        $about = static fn (Code $code, Severity $severity, string $message, string $found, string $expected, ?string $change = null, ?string $end = null): DanceFinding => new DanceFinding(new Finding($code, $severity, "Channel $read->channel: $message", $found, $expected, null, $change), $read->channel, $end);
        $found = [];
        [$low, $high, $levels] = [$read->low(), $read->high(), $read->levels()];
        if ($read->noiseUs > self::NOISY_US) {
            $found[] = $about(Code::Noisy, Severity::Check, 'its value is restless while nobody moves.', sprintf('%.1f µs', $read->noiseUs), 'at most 3 µs', 'Look for a worn pot, a loose lead or a wire beside a motor.');
        }
        if ($low === null || $high === null) {
            return $found;
        }
        foreach (['lo' => $low, 'hi' => $high] as $end => $reached) {
            if (! $reached->isHeld) {
                $found[] = $about(Code::EndNotHeld, Severity::Check, 'an end was touched, not held.', sprintf('%.0f µs', $reached->us), 'held for 150 ms', 'Hold it there for a moment.', $end);
            }
        }
        if ($read->kind === ChannelKind::Stick && $read->mid !== null && abs($read->mid - Pulse::CENTRE_US) > self::OFF_CENTRE_US) {
            $found[] = $about(Code::RestOffCentre, Severity::Fix, 'it does not rest in the middle.', sprintf('%.1f µs', $read->mid), '1497 to 1503 µs', 'Set its sub-trim.');
        }
        if ($read->kind === ChannelKind::Stick && $high->us - $low->us < Pulse::SHORT_TRAVEL_US) {
            $found[] = $about(Code::ShortTravel, Severity::Fix, 'its travel is short.', sprintf('%.0f µs', $high->us - $low->us), 'at least 800 µs', 'Raise its ends.');
        }
        if ($low->us < Pulse::LOWEST_US || $high->us > Pulse::HIGHEST_US) {
            $found[] = $about(Code::OverTravel, Severity::Check, 'it goes further than most readers take.', sprintf('%.0f to %.0f µs', $low->us, $high->us), '900 to 2100 µs', 'Lower its ends.', $low->us < Pulse::LOWEST_US ? 'lo' : 'hi');
        }
        $levels ??= [];
        sort($levels);
        for ($k = 1; $k < count($levels); $k++) {
            if ($levels[$k] - $levels[$k - 1] < self::CLOSE_US) {
                $found[] = $about(Code::LevelsClose, Severity::Check, 'two of its levels lie close together.', sprintf('%.0f and %.0f µs', $levels[$k - 1], $levels[$k]), 'at least 100 µs apart', 'Spread its levels.');

                break;
            }
        }

        return $found;
    }
}
