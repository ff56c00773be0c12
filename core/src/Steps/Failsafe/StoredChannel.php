<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

/** A channel as a receiver puts it out, and what to store there for a safe loss (µs). */
final readonly class StoredChannel
{
    public function __construct(public int $channel, public string $function, public float $safeUs)
    {
    }
}
