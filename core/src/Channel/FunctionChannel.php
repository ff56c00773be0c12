<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** A function and the channel of the handset on which it rides. */
final readonly class FunctionChannel
{
    public function __construct(public string $function, public int $channel)
    {
    }

    /** Whether it rides beyond the four sticks. */
    public function isAuxiliary(): bool
    {
        return $this->channel > ChannelOrder::STICKS;
    }

    /** What a controller calls this channel: auxiliary 1 is channel 5. */
    public function auxiliary(): int
    {
        return $this->channel - ChannelOrder::STICKS;
    }
}
