<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

/** How far a stick throws from its middle to each end, µs. */
final readonly class ThrowUs
{
    public function __construct(public float $lo, public float $hi)
    {
    }
}
