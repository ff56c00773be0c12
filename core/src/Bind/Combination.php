<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/** One thing to try: a variant, a channel mode and a region, with its chance before anything was tried and its cost in minutes. */
final readonly class Combination
{
    public function __construct(
        public string $variant,
        public string $channelMode,
        public ?string $region,
        public float $start,
        public float $minutes,
    ) {
    }

    public function is(Attempt $attempt): bool
    {
        return $this->variant === $attempt->variant && $this->channelMode === $attempt->channelMode && $this->region === $attempt->region;
    }

    /** As documents name it, with where to stand for it. */
    public function named(): \stdClass
    {
        return (object) ['variant' => $this->variant, 'channel_mode' => $this->channelMode, 'region' => $this->region, 'distance_m' => Ladder::DISTANCE_M];
    }
}
