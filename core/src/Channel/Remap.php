<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/**
 * What a remapping module does to channels 1–4: it takes incoming channel k for the letter `expects` has there,
 * and puts it out where `sends` has that letter.
 */
final readonly class Remap
{
    public function __construct(public ChannelOrder $expects, public ChannelOrder $sends)
    {
    }

    /**
     * @param  int<1, 4>  $channel
     * @return int<1, 4>
     */
    public function channelAfter(int $channel): int
    {
        return $this->sends->channelOf($this->expects->at($channel));
    }

    public function equals(self $that): bool
    {
        return $this->expects->equals($that->expects) && $this->sends->equals($that->sends);
    }
}
