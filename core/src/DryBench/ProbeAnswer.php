<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What a test shows on a simulated rig. */
final readonly class ProbeAnswer
{
    /**
     * @param  string  $seen  In a sentence.
     * @param  float  $minutes  What it costs.
     */
    public function __construct(public string $outcome, public string $seen, public float $minutes)
    {
    }
}
