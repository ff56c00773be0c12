<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/**
 * One stage a stick movement passes. A frame leaves every `periodMs`; a channel is carried in every `phases`-th of them,
 * so the wait is uniform between 0 and period × phases, or nothing where the stage is synchronous. All in ms.
 */
final readonly class LatencyStage
{
    public function __construct(
        public string $name,
        public float $periodMs,
        public float $transitMs,
        public int $phases = 1,
        public bool $synchronous = false,
    ) {
    }

    public function longestWait(): float
    {
        return $this->synchronous ? 0.0 : $this->periodMs * $this->phases;
    }

    public function mean(): float
    {
        return $this->longestWait() / 2 + $this->transitMs;
    }
}
