<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** How long a stick movement takes through all stages, ms. */
final readonly class Delay
{
    public function __construct(public float $best, public float $mean, public float $p95, public float $worst)
    {
    }
}
