<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Quantity\Middle;

/** One channel over the rows that are used: where it stays, and its ways from there and back. */
final class Line
{
    /** A plateau lasts at least so long (ms) … */
    private const PLATEAU_MS = 150.0;

    /** … within so many σ, or so many µs, of its median. */
    private const SIGMAS = 6.0;

    private const LEAST_TOLERANCE_US = 6.0;

    /** σ beforehand comes of the quieter stretches of this length (ms): somebody moves in the others. */
    private const STRETCH_MS = 300.0;

    private const QUIET = 0.3;

    private const LEAST_ROWS = 4;

    /** A way leaves by more than this share of the channel's own range, which counts as this long at least (µs). */
    private const LEAVES = 0.05;

    private const LEAST_RANGE_US = 800.0;

    /** A spring brings a stick home within this share of its range. */
    private const HOME = 0.02;

    /** Nobody holds a stick longer (ms): what stays longer is at home there. */
    private const LONGEST_HOLD_MS = 2500.0;

    /** µs */
    public readonly float $tolerance;

    /** From the lowest to the highest value, µs. */
    public readonly float $rangeUs;

    /** @var list<float> Values with single odd ones taken out: medians of three. */
    public readonly array $smooth;

    /** @var list<Plateau> */
    public readonly array $plateaus;

    /** @var list<Way> */
    public readonly array $ways;

    /**
     * @param  int  $channel  From 1.
     * @param  list<float>  $times  ms, of the rows that are used.
     * @param  list<float>  $values  µs
     * @param  list<bool>  $isCut  Whether time is missing before a row.
     * @param  float  $periodMs  How far apart rows usually lie.
     */
    public function __construct(public readonly int $channel, public readonly array $times, public readonly array $values, private readonly array $isCut, public readonly float $periodMs)
    {
        $this->tolerance = max(self::LEAST_TOLERANCE_US, self::SIGMAS * $this->quietSigma());
        $this->smooth = $this->medians();
        $this->rangeUs = $this->smooth === [] ? 0.0 : max($this->smooth) - min($this->smooth);
        $this->plateaus = $this->plateaus();
        $this->ways = $this->ways();
    }

    /** How far it must go to have moved, µs. */
    public function leavesUs(): float
    {
        return max($this->tolerance, self::LEAVES * max(self::LEAST_RANGE_US, $this->rangeUs));
    }

    /** Whether somebody moved it at all. */
    public function isStill(): bool
    {
        return $this->ways === [] && $this->rangeUs <= max(2 * $this->tolerance, $this->leavesUs());
    }

    private function homeUs(): float
    {
        return max($this->tolerance, self::HOME * $this->rangeUs);
    }

    private function quietSigma(): float
    {
        $deviations = [];
        $count = count($this->times);
        for ($from = 0; $from < $count; $from = $to) {
            for ($to = $from + 1; $to < $count && $this->times[$to] - $this->times[$from] < self::STRETCH_MS && ! $this->isCut[$to]; $to++);
            if ($to - $from >= self::LEAST_ROWS) {
                $deviations[] = $this->deviation($from, $to);
            }
        }
        sort($deviations);

        return $deviations === [] ? 0.0 : $deviations[(int) (self::QUIET * (count($deviations) - 1))];
    }

    /** From the mean of some rows, µs. */
    private function deviation(int $from, int $to): float
    {
        [$sum, $squares] = [0.0, 0.0];
        $origin = $this->values[$from];
        for ($k = $from; $k < $to; $k++) {
            $us = $this->values[$k] - $origin;
            $sum += $us;
            $squares += $us * $us;
        }
        $count = $to - $from;

        return sqrt(max(0.0, $squares / $count - ($sum / $count) ** 2));
    }

    /** @return list<float> */
    private function medians(): array
    {
        [$smooth, $before] = [[], $this->values[0] ?? 0.0];
        foreach ($this->values as $k => $us) {
            $after = $this->values[$k + 1] ?? $us;
            $smooth[] = $before < $us ? ($us < $after ? $us : ($before < $after ? $after : $before)) : ($before < $after ? $before : ($us < $after ? $after : $us));
            $before = $us;
        }

        return $smooth;
    }

    /** @return list<Plateau> */
    private function plateaus(): array
    {
        [$plateaus, $from] = [[], 0];
        [$low, $high] = [$this->smooth[0] ?? 0.0, $this->smooth[0] ?? 0.0];
        $count = count($this->times);
        for ($to = 0; $to <= $count; $to++) {
            if ($to < $count && ! $this->isCut[$to]) {
                $us = $this->smooth[$to];
                $low = $us < $low ? $us : $low;
                $high = $us > $high ? $us : $high;
                if ($high - $low <= 2 * $this->tolerance) {
                    continue;
                }
            }
            if ($to > $from && $this->times[$to - 1] - $this->times[$from] >= self::PLATEAU_MS) {
                $plateaus[] = $this->plateau($from, $to - 1);
                $from = $to;
            } elseif ($to < $count) {
                $from = $this->isCut[$to] ? $to : $this->fitting($to, $from);
            }
            if ($to < $count) {
                $some = array_slice($this->smooth, $from, $to - $from + 1);
                [$low, $high] = $some === [] ? [$low, $high] : [min($some), max($some)];
            }
        }

        return $plateaus;
    }

    /** The first row from which on all lie within the tolerance of this one. */
    private function fitting(int $row, int $from): int
    {
        for ($first = $row; $first > $from && abs($this->smooth[$first - 1] - $this->smooth[$row]) <= 2 * $this->tolerance; $first--);

        return $first;
    }

    /** What lies within the tolerance of the median; the ends of a way that led there or away are not of it. */
    private function plateau(int $from, int $to): Plateau
    {
        $us = $this->middle($from, $to);
        while ($from < $to && abs($this->smooth[$from] - $us) > $this->tolerance) {
            $from++;
        }
        while ($to > $from && abs($this->smooth[$to] - $us) > $this->tolerance) {
            $to--;
        }

        return new Plateau($from, $to, $this->times[$from], $this->times[$to], $this->middle($from, $to));
    }

    private function middle(int $from, int $to): float
    {
        $values = array_slice($this->values, $from, $to - $from + 1);

        return $values === [] ? 0.0 : Middle::of($values);
    }

    /** @return list<Way> */
    private function ways(): array
    {
        $ways = [];
        $home = $this->plateaus[0] ?? null;
        $away = [];
        foreach ($this->plateaus as $k => $plateau) {
            if ($home === null || $k === 0) {
                continue;
            }
            $isHome = abs($plateau->us - $home->us) <= $this->homeUs();
            if (! $isHome) {
                $away[] = $plateau;
            }
            if ($isHome || $plateau->lastsMs() > self::LONGEST_HOLD_MS || $k === count($this->plateaus) - 1) {
                $ways[] = Way::between($this, $home, $isHome ? $away : array_slice($away, 0, -1), $plateau, $this->homeUs());
                [$home, $away] = [$plateau, []];
            }
        }

        return array_values(array_filter($ways));
    }
}
