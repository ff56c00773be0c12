<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

/** What one position of a switch sends: %, and µs. Positions count from 1. */
final readonly class SwitchLevel
{
    public function __construct(public int $position, public float $pct, public float $us)
    {
    }
}
