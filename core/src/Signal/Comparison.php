<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;

/**
 * Two captures of the same movement, laid over one another: before and after a converter, working and failing.
 *
 * Channels are matched by how their movements go together (correlation of their values on a common grid) at the delay at which most of them do.
 */
final readonly class Comparison implements \JsonSerializable
{
    /** Grid for finding the delay, and how far it is looked for. */
    private const COARSE_MS = 40.0;

    private const MOST_DELAY_MS = 2000.0;

    private const FINE_MS = 2.0;

    private const FINE_SPAN_MS = 60.0;

    /** So much of a capture is laid over the other. */
    private const LONGEST_MS = 20_000.0;

    /** A channel that moves less tells nothing. */
    private const MOVED_US = 50.0;

    /** Movements go together at this correlation and above. */
    private const SAME = 0.9;

    /** On average channels must go together this well at a delay, and what one that runs the other way is worth. */
    private const LIKELY = 0.5;

    private const OTHER_WAY = 0.97;

    /** Differences below these are none. */
    private const SCALE_SAME = 0.02;

    private const OFFSET_SAME_US = 4.0;

    private const RATE_SAME = 0.03;

    /**
     * @param  list<array{float, array<int, float>}>  $a  ms and µs by channel, as `Series` gives them.
     * @param  list<array{float, array<int, float>}>  $b
     */
    public function __construct(private array $a, private array $b, private Recognised|ValueLog $left, private Recognised|ValueLog $right)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        $moved = [self::moved($this->a), self::moved($this->b)];
        $delay = $this->delay($moved[0], $moved[1]);
        $rows = $delay === null ? [] : $this->match($moved[0], $moved[1], $delay);

        return (object) [
            'delay_ms' => $delay,
            'channels' => $rows,
            'findings' => $this->findings($rows, $delay),
            'a' => self::drawn($this->a),
            'b' => self::drawn($this->b),
        ];
    }

    /**
     * How much later the second one does what the first one does; null: nothing moves in both.
     *
     * @param  list<int>  $left
     * @param  list<int>  $right
     */
    private function delay(array $left, array $right): ?float
    {
        $best = $this->bestDelay($left, $right, self::COARSE_MS, -self::MOST_DELAY_MS, self::MOST_DELAY_MS);

        return $best === null ? null : $this->bestDelay($left, $right, self::FINE_MS, $best - self::FINE_SPAN_MS, $best + self::FINE_SPAN_MS);
    }

    /**
     * @param  list<int>  $left
     * @param  list<int>  $right
     */
    private function bestDelay(array $left, array $right, float $step, float $from, float $to): ?float
    {
        $grids = [array_map(fn (int $channel): array => self::grid($this->a, $channel, $step), $left), array_map(fn (int $channel): array => self::grid($this->b, $channel, $step), $right)];
        [$best, $most] = [null, self::LIKELY * count($left)];
        for ($delay = round($from / $step) * $step; $delay <= $to; $delay += $step) {
            $shift = (int) round($delay / $step);
            $together = 0.0;
            foreach ($grids[0] as $one) {
                // All channels have their say: one alone may repeat itself and fit at several delays.
                $together += max([0.0, ...array_map(static fn (array $other): float => self::likeness(self::fit($one, $other, $shift)[0]), $grids[1])]);
            }
            // The nearest of equally good delays is the likely one.
            if ($together > $most + 1e-6 || ($best !== null && $together > $most - 1e-6 && abs($delay) < abs($best))) {
                [$best, $most] = [$delay, $together];
            }
        }

        return $best;
    }

    /** Running the same way is likelier than running the other way. */
    private static function likeness(float $correlation): float
    {
        return $correlation >= 0 ? $correlation : -self::OTHER_WAY * $correlation;
    }

    /**
     * @param  list<int>  $left
     * @param  list<int>  $right
     * @return list<array{a: int, b: int|null, scale: float|null, offset_us: float|null, reversed: bool, correlation: float|null}>
     */
    private function match(array $left, array $right, float $delay): array
    {
        $shift = (int) round($delay / self::FINE_MS);
        $rows = [];
        foreach ($left as $channel) {
            $one = self::grid($this->a, $channel, self::FINE_MS);
            $best = [0.0, null, 0.0, 0.0];
            foreach ($right as $other) {
                [$together, $scale, $offset] = self::fit($one, self::grid($this->b, $other, self::FINE_MS), $shift);
                if (self::likeness($together) > self::likeness($best[0]) + 1e-9) {
                    $best = [$together, $other, $scale, $offset];
                }
            }
            $isSame = abs($best[0]) >= self::SAME;
            $rows[] = [
                'a' => $channel,
                'b' => $isSame ? $best[1] : null,
                'scale' => $isSame ? round($best[2], 4) : null,
                'offset_us' => $isSame ? round(1500 * ($best[2] - 1) + $best[3], 2) : null,
                'reversed' => $isSame && $best[2] < 0,
                'correlation' => $best[1] === null ? null : round($best[0], 4),
            ];
        }

        return $rows;
    }

    /**
     * @param  list<array{a: int, b: int|null, scale: float|null, offset_us: float|null, reversed: bool, correlation: float|null}>  $rows
     * @return list<Finding>
     */
    private function findings(array $rows, ?float $delay): array
    {
        if ($delay === null) {
            return [new Finding(Code::NothingInCommon, Severity::Check, 'No movement is found in both captures.', null, 'a stick moved while both were taken', 'Without one, order, scale and delay cannot be compared.', 'Capture both again while one stick after the other is moved.')];
        }
        $findings = [];
        $moved = array_filter($rows, static fn (array $row): bool => $row['b'] !== null && $row['b'] !== $row['a']);
        if ($moved !== []) {
            $findings[] = new Finding(Code::OrderDiffers, Severity::Check, 'The channels come in another order.', implode(', ', array_map(static fn (array $row): string => "{$row['a']} arrives as {$row['b']}", $moved)), 'every channel on its own number', 'A stick moves what another one should.', 'Mend the order at the handset, the module or the reader.');
        }
        foreach ($rows as $row) {
            if ($row['b'] === null) {
                $findings[] = new Finding(Code::ChannelMissing, Severity::Check, "Channel {$row['a']} moves in the first capture and is not found in the second.", null, null, 'It is not passed on, or mixed with another one.', 'Look at the channel count and the mapping in between.');
            }
        }

        return [...$findings, ...$this->scales($rows), ...$this->timing($delay)];
    }

    /**
     * @param  list<array{a: int, b: int|null, scale: float|null, offset_us: float|null, reversed: bool, correlation: float|null}>  $rows
     * @return list<Finding>
     */
    private function scales(array $rows): array
    {
        $findings = [];
        $reversed = array_column(array_filter($rows, static fn (array $row): bool => $row['reversed']), 'a');
        if ($reversed !== []) {
            $findings[] = new Finding(Code::Reversed, Severity::Check, 'Channels run the other way: '.implode(', ', $reversed).'.', null, 'the same direction in both', 'The stick does the opposite.', 'Reverse them at one place only.');
        }
        $scaled = array_filter($rows, static fn (array $row): bool => $row['scale'] !== null && abs(abs($row['scale']) - 1) > self::SCALE_SAME);
        if ($scaled !== []) {
            $findings[] = new Finding(Code::ScaleDiffers, Severity::Check, 'The travel differs.', implode(', ', array_map(static fn (array $row): string => sprintf('channel %d at %.1f %%', $row['a'], abs((float) $row['scale']) * 100), $scaled)), '100 %', 'Ends and thresholds set for one do not hold for the other.', 'Measure the ends behind this box, and set travel from there.');
        }
        $shifted = array_filter($rows, static fn (array $row): bool => $row['offset_us'] !== null && ! $row['reversed'] && abs($row['offset_us']) > self::OFFSET_SAME_US);
        if ($shifted !== []) {
            $findings[] = new Finding(Code::CentreDiffers, Severity::Check, 'The centre is shifted.', implode(', ', array_map(static fn (array $row): string => sprintf('channel %d by %+.1f µs', $row['a'], $row['offset_us']), $shifted)), 'less than 4 µs', 'A stick at rest is read as a small command.', 'Set the centre behind this box.');
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function timing(float $delay): array
    {
        $findings = [];
        if ($this->left->begin->options->wire !== null || $this->right->begin->options->wire !== null || abs($delay) >= self::FINE_MS) {
            $findings[] = new Finding(Code::Delay, Severity::Note, sprintf('The second capture follows %.0f ms %s.', abs($delay), $delay < 0 ? 'earlier' : 'later'), sprintf('%.0f ms', $delay), null, 'Between two wires of one recording this is the delay of what lies between them; between two recordings it is also when they were started.');
        }
        $periods = [$this->left->tally->periods->medianUs(), $this->right->tally->periods->medianUs()];
        if ($periods[0] !== null && $periods[1] !== null && abs($periods[1] / $periods[0] - 1) > self::RATE_SAME) {
            $findings[] = new Finding(Code::RateDiffers, Severity::Note, 'Frames come at another rate.', sprintf('every %.2f ms, then every %.2f ms', $periods[0] / 1000, $periods[1] / 1000), 'a reader that takes both', 'Slower frames add delay, faster ones may be too fast for a reader.');
        }
        $formats = [$this->left->carrier()->format(), $this->right->carrier()->format()];
        if ($formats[0] !== $formats[1]) {
            $findings[] = new Finding(Code::FormatDiffers, Severity::Note, sprintf('The formats differ: %s, then %s.', $formats[0] ?? 'values', $formats[1] ?? 'values'));
        }

        return $findings;
    }

    /**
     * @param  list<array{float, array<int, float>}>  $rows
     * @return list<int>
     */
    private static function moved(array $rows): array
    {
        $channels = array_keys($rows === [] ? [] : $rows[count($rows) - 1][1]);

        return array_values(array_filter($channels, static function (int $channel) use ($rows): bool {
            $values = array_column(array_column($rows, 1), $channel);

            return $values !== [] && max($values) - min($values) > self::MOVED_US;
        }));
    }

    /**
     * Values at even steps, the last one held.
     *
     * @param  list<array{float, array<int, float>}>  $rows
     * @return list<float>
     */
    private static function grid(array $rows, int $channel, float $step): array
    {
        $grid = [];
        $value = null;
        $at = 0.0;
        foreach ($rows as [$ms, $us]) {
            while ($value !== null && $at < $ms && $at < self::LONGEST_MS) {
                $grid[] = $value;
                $at += $step;
            }
            $value = $us[$channel] ?? $value;
            $at = $grid === [] ? ceil($ms / $step) * $step : $at;
            if ($grid === [] && $value !== null) {
                // Both captures are laid on the same clock.
                $grid = array_fill(0, max(0, min((int) (self::LONGEST_MS / $step), (int) ceil($ms / $step))), $value);
            }
        }

        return $grid;
    }

    /**
     * How well b, shifted, is a straight function of a.
     *
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return array{float, float, float} Correlation, scale and offset (b = scale × a + offset).
     */
    private static function fit(array $a, array $b, int $shift): array
    {
        [$n, $sumA, $sumB, $squareA, $squareB, $product] = [0, 0.0, 0.0, 0.0, 0.0, 0.0];
        for ($k = max(0, -$shift), $end = min(count($a), count($b) - $shift); $k < $end; $k++) {
            $x = $a[$k] - 1500;
            $y = $b[$k + $shift] - 1500;
            $n++;
            $sumA += $x;
            $sumB += $y;
            $squareA += $x * $x;
            $squareB += $y * $y;
            $product += $x * $y;
        }
        // Too little overlap fits anything.
        if ($n < 10 || $n < min(count($a), count($b)) / 2) {
            return [0.0, 0.0, 0.0];
        }
        $varianceA = $squareA - $sumA * $sumA / $n;
        $varianceB = $squareB - $sumB * $sumB / $n;
        if ($varianceA <= 1e-9 || $varianceB <= 1e-9) {
            return [0.0, 0.0, 0.0];
        }
        $both = $product - $sumA * $sumB / $n;
        $scale = $both / $varianceA;

        return [$both / sqrt($varianceA * $varianceB), $scale, 1500 + $sumB / $n - $scale * (1500 + $sumA / $n)];
    }

    /**
     * @param  list<array{float, array<int, float>}>  $rows
     * @return list<array{t_ms: float, us: array<int, float>}>
     */
    private static function drawn(array $rows): array
    {
        return array_map(static fn (array $row): array => ['t_ms' => round($row[0], 3), 'us' => $row[1]], $rows);
    }
}
