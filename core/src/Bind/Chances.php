<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/** How likely each combination is the right one, as attempts teach. */
final readonly class Chances
{
    /** What a failure leaves of a chance where the two stood too close: it may be the right one all the same. */
    private const CLOSE_FAILURE = 0.8;

    /** What has bound once is the right one this likely. */
    private const BOUND_BEFORE = 0.9;

    /** @param  list<Rung>  $all  In list order. */
    private function __construct(public array $all)
    {
    }

    public static function before(Candidates $candidates): self
    {
        return new self(array_map(static fn (Combination $one): Rung => new Rung($one, $one->start), $candidates->combinations()));
    }

    public function after(Attempt $attempt): self
    {
        return $attempt->bound ? $this->bound($attempt) : $this->failed($attempt);
    }

    private function failed(Attempt $attempt): self
    {
        $left = $attempt->isTooClose() ? self::CLOSE_FAILURE : 0.0;

        return $this->scaled(static fn (Rung $rung): float => $rung->combination->is($attempt) ? $left * $rung->chance : $rung->chance);
    }

    /** It has bound: that one is the likeliest again, and what was tried before counts no more. */
    private function bound(Attempt $attempt): self
    {
        $isThere = static fn (Combination $one): bool => $one->is($attempt) && $one->start > 0;
        [$there, $others] = [false, 0.0];
        foreach ($this->all as $rung) {
            $isThere($rung->combination) ? $there = true : $others += $rung->combination->start;
        }

        return $this->scaled(static fn (Rung $rung): float => match (true) {
            ! $there => $rung->combination->start,
            $isThere($rung->combination) => self::BOUND_BEFORE,
            default => $others > 0 ? (1 - self::BOUND_BEFORE) * $rung->combination->start / $others : 0.0,
        });
    }

    /** @param  \Closure(Rung): float  $chance  Scaled so that all of them make 1. */
    private function scaled(\Closure $chance): self
    {
        $chances = array_map($chance, $this->all);
        $total = array_sum($chances);

        return new self(array_map(static fn (Rung $rung, float $one): Rung => new Rung($rung->combination, $total > 0 ? $one / $total : $one), $this->all, $chances));
    }
}
