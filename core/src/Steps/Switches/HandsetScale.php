<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

/** How a handset's percent become µs, and how far they go. */
final readonly class HandsetScale
{
    public function __construct(public float $centre, public float $usPer100, public float $maxPct)
    {
    }
}
