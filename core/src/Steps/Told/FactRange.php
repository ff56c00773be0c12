<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

/** Between which numbers something lies, both included. */
final readonly class FactRange
{
    public function __construct(public float $lowest, public float $highest)
    {
    }

    public function holds(float $value): bool
    {
        return $value >= $this->lowest && $value <= $this->highest;
    }
}
