<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** Thresholds and dead band of a controller, µs; null: not known. */
final readonly class ThresholdSettings
{
    public function __construct(public ?float $low, public ?float $high, public ?float $deadband)
    {
    }
}
