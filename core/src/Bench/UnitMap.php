<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** How µs become another unit: value = centre + (µs − 1500) × per_us. */
final readonly class UnitMap
{
    public function __construct(public float $centre, public float $perUs)
    {
    }
}
