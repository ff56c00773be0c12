<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Pulse;

/** What one channel did over a whole capture, µs. */
final readonly class ChannelSummary implements \JsonSerializable
{
    /** @param  float|null  $noiseUs  Standard deviation over its quietest second; null: no second of it has times. */
    public function __construct(public int $channel, public float $minUs, public float $meanUs, public float $maxUs, public float $lastUs, public ?float $noiseUs)
    {
    }

    public function travelUs(): float
    {
        return $this->maxUs - $this->minUs;
    }

    public function isStill(): bool
    {
        return $this->travelUs() <= ChannelTally::STILL_US;
    }

    public function isMovedAllTheWay(): bool
    {
        return $this->travelUs() >= Pulse::END_TO_END_US;
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) ['channel' => $this->channel, 'min_us' => $this->minUs, 'mean_us' => $this->meanUs, 'max_us' => $this->maxUs, 'last_us' => $this->lastUs, 'noise_us' => $this->noiseUs];
    }
}
