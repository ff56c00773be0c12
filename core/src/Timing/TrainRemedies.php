<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** What gives a pulse train room for its gap, each by itself. */
final readonly class TrainRemedies
{
    /**
     * @param  float  $frameUs  The shortest frame with room for all channels at full throw, µs.
     * @param  HeldTrain|null  $holdUnused  Null: all channels are used.
     * @param  int  $maxChannels  How many fit into the frame as it is.
     */
    public function __construct(public float $frameUs, public ?HeldTrain $holdUnused, public int $maxChannels)
    {
    }
}
