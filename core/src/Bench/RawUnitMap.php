<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** The same for the counts of a wire format. */
final readonly class RawUnitMap
{
    public function __construct(public float $centre, public float $perUs, public string $format)
    {
    }
}
