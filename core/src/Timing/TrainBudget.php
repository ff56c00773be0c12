<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** A pulse train judged: its shortest gap, the gap it needs, and what would mend it. µs. */
final readonly class TrainBudget
{
    public function __construct(public TrainVerdict $verdict, public float $worstSyncUs, public float $requiredSyncUs, public TrainRemedies $remedies)
    {
    }
}
