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
    /** @param  list<string>  $line Numbers and words a manual may use for it. */
    public function __construct(
        public string $id,
        public string $name,
        public ?int $channels,
        public float $usualMs,
        public float $transitMs,
        public bool $telemetry = false,
        public bool $failsafeFlag = false,
        public array $line = [],
    ) {
    }
}
