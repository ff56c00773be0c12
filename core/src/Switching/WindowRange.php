<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

/** From edge to edge, µs. */
final readonly class WindowRange
{
    public function __construct(public float $lo, public float $hi)
    {
    }
}
