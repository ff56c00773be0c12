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
        $chances = Chances::before($candidates);
        foreach ($attempts as $attempt) {
            $chances = $chances->after($attempt);
        }
        $rungs = array_values(array_filter($chances->all, static fn (Rung $rung): bool => $rung->chance > 0));
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
}
