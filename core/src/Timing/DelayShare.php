<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** What one stage adds to the mean delay, ms, and its part of it, 0 to 1. */
final readonly class DelayShare
{
    public function __construct(public string $name, public float $meanMs, public float $share)
    {
    }
}
