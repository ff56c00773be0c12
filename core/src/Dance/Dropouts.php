<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Channel\ChannelLog;

/** Stretches of a log that say nothing of what somebody does: values frozen, set to others all at once, or no rows at all. */
final readonly class Dropouts
{
    /** A shorter one does no harm (ms). */
    private const LEAST_MS = 200.0;

    /** Values that change by less (µs) are at rest, and restless … */
    private const NOISE_US = 6.0;

    /** … and there must be so many of these rows for each one in which all stand still. */
    private const RESTLESS = 0.5;

    /** A jump of so many channels in one row (as a share) is nobody's hand. */
    private const MOST = 0.5;

    private const JUMP_US = 20.0;

    /** A gap is one that no slow sender explains. */
    private const SLOW_PERIODS = 8;

    /**
     * @param  list<bool>  $isUsed  By row.
     * @param  list<bool>  $isCut  Whether time is missing before a row.
     * @param  list<float>  $begins  ms
     */
    private function __construct(public array $isUsed, public array $isCut, public array $begins)
    {
    }

    public static function in(ChannelLog $log): self
    {
        $used = array_map(static fn (): bool => true, $log->times);
        $cut = array_map(static fn (): bool => false, $log->times);
        $begins = [];
        foreach ([...self::frozen($log), ...self::replaced($log)] as [$from, $to]) {
            if ($used[$from]) {
                $begins[] = $log->times[$from];
            }
            foreach ($used as $k => $isUsed) {
                $used[$k] = $isUsed && ($k < $from || $k > $to);
                $cut[$k] = $cut[$k] || $k === $to + 1;
            }
        }
        $longest = max(self::LEAST_MS, self::SLOW_PERIODS * $log->periodMs());
        foreach ($log->times as $k => $ms) {
            if ($k > 0 && $ms - $log->times[$k - 1] > $longest) {
                $cut[$k] = true;
                $begins[] = $log->times[$k - 1];
            }
        }
        sort($begins);

        return new self($used, array_values($cut), $begins);
    }

    /** @return list<array{int, int}> First and last row of each stretch in which every channel stands still to the last digit, where rows otherwise change. */
    private static function frozen(ChannelLog $log): array
    {
        $count = $log->count();
        [$runs, $from, $restless] = [[], 0, 0];
        for ($k = 1; $k <= $count; $k++) {
            $most = $k < $count ? self::furthest($log, $k) : INF;
            if ($most === 0.0) {
                continue;
            }
            $restless += $most <= self::NOISE_US ? 1 : 0;
            if ($log->times[$k - 1] - $log->times[$from] > self::LEAST_MS) {
                $runs[] = [$from, $k - 1];
            }
            $from = $k;
        }
        $frozen = array_sum(array_map(static fn (array $run): int => $run[1] - $run[0], $runs));

        // Where values rest without changing whenever nobody moves, standing still is nothing odd.
        return $restless > self::RESTLESS * $frozen ? $runs : [];
    }

    /** How far the channel that changed most went in this row, µs. */
    private static function furthest(ChannelLog $log, int $row): float
    {
        $most = 0.0;
        foreach ($log->columns as $values) {
            $most = max($most, abs($values[$row] - $values[$row - 1]));
        }

        return $most;
    }

    /** @return list<array{int, int}> First and last row of each stretch that most channels jump into and out of in one row. */
    private static function replaced(ChannelLog $log): array
    {
        $jumps = [];
        $most = self::MOST * count($log->columns);
        for ($k = 1; $k < $log->count(); $k++) {
            $moved = 0;
            foreach ($log->columns as $values) {
                $moved += abs($values[$k] - $values[$k - 1]) > self::JUMP_US ? 1 : 0;
            }
            if ($moved > 1 && $moved > $most) {
                $jumps[] = $k;
            }
        }
        [$runs, $from] = [[], null];
        foreach ($jumps as $row) {
            if ($from !== null && self::isFixed($log, $from, $row - 1)) {
                $runs[] = [$from, $row - 1];
                $from = null;
            } else {
                $from = $row;
            }
        }

        return $runs;
    }

    /** Whether what jumped stays where it jumped to. */
    private static function isFixed(ChannelLog $log, int $from, int $to): bool
    {
        foreach ($log->columns as $values) {
            if (abs($values[$from] - $values[$from - 1]) > self::JUMP_US) {
                $stretch = array_slice($values, $from, $to - $from + 1);
                if ($stretch !== [] && max($stretch) - min($stretch) > self::JUMP_US) {
                    return false;
                }
            }
        }

        return true;
    }
}
