<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/**
 * What to try next when a receiver does not bind: chances learn from every attempt, and the order p/minutes, highest first,
 * has the least expected time (Smith's rule for independent tries of one cause).
 */
final readonly class Ladder
{
    /** Where to stand (m): near enough for low power, far enough not to deafen. */
    public const DISTANCE_M = 2.0;

    private const CLOSE_FAILURE = 0.8;

    private const BOUND_BEFORE = 0.9;

    private const TIE = 1e-9;

    /**
     * @param  list<Rung>  $rungs  Best first.
     * @param  list<Attempt>  $attempts
     */
    private function __construct(public array $rungs, private array $attempts)
    {
    }

    /** @param  list<Attempt>  $attempts  Oldest first. */
    public static function after(Candidates $candidates, array $attempts): self
    {
        $combinations = $candidates->combinations();
        $chances = array_map(static fn (Combination $combination): float => $combination->start, $combinations);
        foreach ($attempts as $attempt) {
            $chances = $attempt->bound ? self::bound($combinations, $chances, $attempt) : self::failed($combinations, $chances, $attempt);
        }
        $rungs = [];
        foreach ($combinations as $k => $combination) {
            if ($chances[$k] > 0) {
                $rungs[] = new Rung($combination, $chances[$k]);
            }
        }
        usort($rungs, static fn (Rung $a, Rung $b): int => abs($a->worth() - $b->worth()) <= self::TIE ? 0 : $b->worth() <=> $a->worth());

        return new self($rungs, $attempts);
    }

    public function next(): ?Combination
    {
        return ($this->rungs[0] ?? null)?->combination;
    }

    /** Σ p × cumulative minutes; null when nothing is left. */
    public function expectedMinutes(): ?float
    {
        $spent = $expected = 0.0;
        foreach ($this->rungs as $rung) {
            $spent += $rung->combination->minutes;
            $expected += $rung->chance * $spent;
        }

        return $this->rungs === [] ? null : $expected;
    }

    /** Whether the next one was tried already, too close. */
    public function isRepeat(): bool
    {
        $next = $this->next();
        foreach ($this->attempts as $attempt) {
            if ($next !== null && $next->is($attempt) && ! $attempt->bound && $attempt->isTooClose()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Combination>  $combinations
     * @param  array<int, float>  $chances
     * @return array<int, float>
     */
    private static function failed(array $combinations, array $chances, Attempt $attempt): array
    {
        foreach ($combinations as $k => $combination) {
            if ($combination->is($attempt)) {
                $chances[$k] *= $attempt->isTooClose() ? self::CLOSE_FAILURE : 0.0;
            }
        }

        return self::scaled($chances);
    }

    /**
     * It has bound: that one is the likeliest again, and what was tried before counts no more.
     *
     * @param  list<Combination>  $combinations
     * @param  array<int, float>  $chances
     * @return array<int, float>
     */
    private static function bound(array $combinations, array $chances, Attempt $attempt): array
    {
        $there = null;
        $others = 0.0;
        foreach ($combinations as $k => $combination) {
            if ($combination->is($attempt) && $combination->start > 0) {
                $there = $k;
            } else {
                $others += $combination->start;
            }
        }
        foreach ($combinations as $k => $combination) {
            $chances[$k] = match (true) {
                $there === null => $combination->start,
                $k === $there => self::BOUND_BEFORE,
                default => $others > 0 ? (1 - self::BOUND_BEFORE) * $combination->start / $others : 0.0,
            };
        }

        return self::scaled($chances);
    }

    /**
     * @param  array<int, float>  $chances
     * @return array<int, float>
     */
    private static function scaled(array $chances): array
    {
        $total = array_sum($chances);

        return $total > 0 ? array_map(static fn (float $chance): float => $chance / $total, $chances) : $chances;
    }
}
