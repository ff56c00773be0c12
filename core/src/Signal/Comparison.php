<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Document\Plain;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;

/**
 * Two captures of the same movement, laid over one another: before and after a converter, working and failing.
 *
 * Channels are matched by how their movements go together (correlation of their values on a common grid) at the delay at which most of them do.
 */
final readonly class Comparison implements \JsonSerializable
{
    /** Steps of time for finding the delay, and how far it is looked for. */
    private const COARSE_MS = 40.0;

    private const MOST_DELAY_MS = 2000.0;

    private const FINE_MS = 2.0;

    private const FINE_SPAN_MS = 60.0;

    /** On average channels must go together this well at a delay. */
    private const LIKELY = 0.5;

    private const RATE_SAME = 0.03;

    /** Likenesses closer than this are equal. */
    private const DUST = 1e-6;

    public function __construct(private ValueRows $a, private ValueRows $b, private Recognised|ValueLog $left, private Recognised|ValueLog $right)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        $delay = $this->delay();
        $matches = $delay === null ? [] : $this->matches($delay);

        return (object) [
            'first' => self::named($this->left),
            'second' => self::named($this->right),
            'delay_ms' => $delay,
            'channels' => Plain::of($matches),
            'findings' => $this->findings($matches, $delay),
            'a' => self::drawn($this->a),
            'b' => self::drawn($this->b),
        ];
    }

    /** How much later the second one does what the first one does, ms; null: nothing moves in both. */
    private function delay(): ?float
    {
        $best = $this->bestDelay(self::COARSE_MS, -self::MOST_DELAY_MS, self::MOST_DELAY_MS);

        return $best === null ? null : $this->bestDelay(self::FINE_MS, $best - self::FINE_SPAN_MS, $best + self::FINE_SPAN_MS);
    }

    private function bestDelay(float $step, float $from, float $to): ?float
    {
        [$left, $right] = [self::courses($this->a, $step), self::courses($this->b, $step)];
        [$best, $most] = [null, self::LIKELY * count($left)];
        for ($delay = round($from / $step) * $step; $delay <= $to; $delay += $step) {
            $together = self::together($left, $right, (int) round($delay / $step));
            // The nearest of equally good delays is the likely one.
            if ($together > $most + self::DUST || ($best !== null && $together > $most - self::DUST && abs($delay) < abs($best))) {
                [$best, $most] = [$delay, $together];
            }
        }

        return $best;
    }

    /** @return list<Course> Of the channels that move. */
    private static function courses(ValueRows $rows, float $step): array
    {
        return array_map(static fn (int $channel): Course => Course::of($rows, $channel, $step), $rows->moved());
    }

    /**
     * All channels have their say: one alone may repeat itself and fit at several delays.
     *
     * @param  list<Course>  $left
     * @param  list<Course>  $right
     */
    private static function together(array $left, array $right, int $shift): float
    {
        $together = 0.0;
        foreach ($left as $one) {
            $together += max([0.0, ...array_map(static fn (Course $other): float => $one->fit($other, $shift)->likeness(), $right)]);
        }

        return $together;
    }

    /** @return list<ChannelMatch> One for each channel that moves in the first capture. */
    private function matches(float $delay): array
    {
        $shift = (int) round($delay / self::FINE_MS);
        $right = self::courses($this->b, self::FINE_MS);

        return array_map(static fn (Course $one): ChannelMatch => self::match($one, $right, $shift), self::courses($this->a, self::FINE_MS));
    }

    /** @param  list<Course>  $right */
    private static function match(Course $one, array $right, int $shift): ChannelMatch
    {
        [$nearest, $best] = [null, Fit::none()];
        foreach ($right as $other) {
            $fit = $one->fit($other, $shift);
            if ($fit->likeness() > $best->likeness() + self::DUST) {
                [$nearest, $best] = [$other->channel, $fit];
            }
        }

        return ChannelMatch::of($one->channel, $nearest, $best);
    }

    /** @param  list<ChannelMatch>  $matches */
    private function findings(array $matches, ?float $delay): Findings
    {
        if ($delay === null) {
            return $this->inOneOnly() !== null ? Findings::of($this->inOneOnly()) : Findings::of(new Finding(Code::NothingInCommon, Severity::Check, 'No movement is found in both captures.', null, 'a stick moved while both were taken', 'Without one, order, scale and delay cannot be compared.', 'Capture both again while one stick after the other is moved.'));
        }

        return Findings::of($this->inOneOnly(), self::order($matches), ...self::missing($matches), ...[self::reversed($matches), self::scaled($matches), self::shifted($matches), $this->late($delay), $this->rate(), $this->format()]);
    }

    /** A control that was moved while one of them was taken: the channel that moves in the second only, by its number. */
    private function inOneOnly(): ?Finding
    {
        $only = array_values(array_diff($this->b->moved(), $this->a->moved()));
        $alike = array_diff($this->a->moved(), $this->b->moved()) === [];
        if ($only === [] || ! $alike) {
            return null;
        }

        return new Finding(Code::MovesInOne, Severity::Note, (count($only) === 1 ? 'Channel ' : 'Channels ').implode(', ', $only).(count($only) === 1 ? ' moves' : ' move').' in the second capture only.', null, null, 'What was moved only there rides on it.');
    }

    /** @param  list<ChannelMatch>  $matches */
    private static function order(array $matches): ?Finding
    {
        $moved = self::words($matches, static fn (ChannelMatch $one): bool => $one->isElsewhere(), static fn (ChannelMatch $one): string => "$one->a arrives as $one->b");

        return $moved === '' ? null : new Finding(Code::OrderDiffers, Severity::Check, 'The channels come in another order.', $moved, 'every channel on its own number', 'A stick moves what another one should.', 'Mend the order at the handset, the module or the reader.');
    }

    /**
     * @param  list<ChannelMatch>  $matches
     * @return list<Finding>
     */
    private static function missing(array $matches): array
    {
        return array_map(
            static fn (ChannelMatch $one): Finding => new Finding(Code::ChannelMissing, Severity::Check, "Channel $one->a moves in the first capture and is not found in the second.", null, null, 'It is not passed on, or mixed with another one.', 'Look at the channel count and the mapping in between.'),
            array_values(array_filter($matches, static fn (ChannelMatch $one): bool => $one->b === null)),
        );
    }

    /** @param  list<ChannelMatch>  $matches */
    private static function reversed(array $matches): ?Finding
    {
        $reversed = self::words($matches, static fn (ChannelMatch $one): bool => $one->reversed, static fn (ChannelMatch $one): string => (string) $one->a);

        return $reversed === '' ? null : new Finding(Code::Reversed, Severity::Check, "Channels run the other way: $reversed.", null, 'the same direction in both', 'The stick does the opposite.', 'Reverse them at one place only.');
    }

    /** @param  list<ChannelMatch>  $matches */
    private static function scaled(array $matches): ?Finding
    {
        $scaled = self::words($matches, static fn (ChannelMatch $one): bool => $one->isScaled(), static fn (ChannelMatch $one): string => sprintf('channel %d at %.1f %%', $one->a, abs((float) $one->scale) * 100));

        return $scaled === '' ? null : new Finding(Code::ScaleDiffers, Severity::Check, 'The travel differs.', $scaled, '100 %', 'Ends and thresholds set for one do not hold for the other.', 'Measure the ends behind this box, and set travel from there.');
    }

    /** @param  list<ChannelMatch>  $matches */
    private static function shifted(array $matches): ?Finding
    {
        $shifted = self::words($matches, static fn (ChannelMatch $one): bool => $one->isShifted(), static fn (ChannelMatch $one): string => sprintf('channel %d by %+.1f µs', $one->a, $one->offsetUs));

        return $shifted === '' ? null : new Finding(Code::CentreDiffers, Severity::Check, 'The centre is shifted.', $shifted, 'less than 4 µs', 'A stick at rest is read as a small command.', 'Set the centre behind this box.');
    }

    private function late(float $delay): ?Finding
    {
        $isOneRecording = $this->left->begin->options->wire !== null || $this->right->begin->options->wire !== null;

        return ! $isOneRecording && abs($delay) < self::FINE_MS ? null : new Finding(Code::Delay, Severity::Note, sprintf('The second capture follows %.0f ms %s.', abs($delay), $delay < 0 ? 'earlier' : 'later'), sprintf('%.0f ms', $delay), null, 'Between two wires of one recording this is the delay of what lies between them; between two recordings it is also when they were started.');
    }

    private function rate(): ?Finding
    {
        [$left, $right] = [$this->left->tally->periods->medianUs(), $this->right->tally->periods->medianUs()];
        if ($left === null || $right === null || abs($right / $left - 1) <= self::RATE_SAME) {
            return null;
        }

        return new Finding(Code::RateDiffers, Severity::Note, 'Frames come at another rate.', sprintf('every %.2f ms, then every %.2f ms', $left / 1000, $right / 1000), 'a reader that takes both', 'Slower frames add delay, faster ones may be too fast for a reader.');
    }

    private function format(): ?Finding
    {
        if ($this->left->carrier()->format() === $this->right->carrier()->format()) {
            return null;
        }

        return new Finding(Code::FormatDiffers, Severity::Note, sprintf('The formats differ: %s, then %s.', self::named($this->left), self::named($this->right)));
    }

    private static function named(Recognised|ValueLog $side): string
    {
        return $side->carrier()->words() ?? 'a log of values';
    }

    /**
     * What is said of those of which something holds, one behind the other.
     *
     * @param  list<ChannelMatch>  $matches
     * @param  \Closure(ChannelMatch): bool  $holds
     * @param  \Closure(ChannelMatch): string  $says
     */
    private static function words(array $matches, \Closure $holds, \Closure $says): string
    {
        return implode(', ', array_map($says, array_filter($matches, $holds)));
    }

    /** @return list<array{t_ms: float, us: array<int, float>}> */
    private static function drawn(ValueRows $rows): array
    {
        return array_map(static fn (ValueRow $row): array => ['t_ms' => round($row->ms, 3), 'us' => $row->us], iterator_to_array($rows, false));
    }
}
