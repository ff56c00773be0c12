<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** What one step at a stage is worth: µs, and % of the travel. */
final readonly class StageStep
{
    public function __construct(public string $name, public int $levels, public float $stepUs, public float $sharePct)
    {
    }
}
