<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/** One try at binding. */
final readonly class Attempt
{
    /** Nearer than this a failure says little (m): the receiver may have been deafened. */
    public const FAR_ENOUGH_M = 1.0;

    public function __construct(
        public string $variant,
        public string $channelMode,
        public ?string $region,
        public float $distanceM,
        public bool $bound,
    ) {
    }

    public function isTooClose(): bool
    {
        return $this->distanceM < self::FAR_ENOUGH_M;
    }
}
