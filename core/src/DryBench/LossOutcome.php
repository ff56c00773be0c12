<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Finding\Severity;

/** What the craft does when a link is lost, as failsafe judges it. */
final readonly class LossOutcome
{
    /** @param  string  $says  In a sentence. */
    private function __construct(public int $hop, public Outcome $outcome, public Severity $severity, public string $says)
    {
    }

    public static function of(FailsafeHop $hop): self
    {
        return new self($hop->number, $hop->outcome(), $hop->severity(), $hop->outcome()->sentence());
    }
}
