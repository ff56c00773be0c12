<?php

declare(strict_types=1);

namespace Linguator\Core\Wire;

/**
 * What is usual for a way in which channels travel on a wire.
 *
 * @see WireFormats for where these come from.
 */
final readonly class WireFormat
{
    /**
     * @param  list<string>  $line  Numbers and words a manual may use for it.
     * @param  array{centre: float, us: float}|null  $raw  The count at 1500 µs, and how many µs one count is; null: no counts.
     * @param  int|null  $levels  Distinct values over 1000 µs to 2000 µs or the format's own full travel; null: no steps.
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?int $channels,
        public float $usualMs,
        public float $transitMs,
        public bool $telemetry = false,
        public bool $failsafeFlag = false,
        public array $line = [],
        public ?array $raw = null,
        public ?int $levels = null,
    ) {
    }
}
