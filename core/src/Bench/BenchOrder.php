<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Steps\StepState;

/** The order of rigs on the bench: what needs somebody comes first, those alike stay as they came. */
final class BenchOrder
{
    /**
     * @template T of array<string, mixed>
     *
     * @param  list<T>  $summaries  As `RigSummary` is kept.
     * @return list<T>
     */
    public static function of(array $summaries): array
    {
        usort($summaries, static fn (array $a, array $b): int => self::urgency($a) <=> self::urgency($b));

        return $summaries;
    }

    /** @param  array<string, mixed>  $summary */
    private static function urgency(array $summary): int
    {
        $next = $summary['next'] ?? null;
        $state = is_array($next) ? ($next['severity'] ?? '') : '';

        return (StepState::tryFrom(is_string($state) ? $state : '') ?? StepState::Done)->urgency();
    }
}
