<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/**
 * The way of the four sticks from the handset through remapping modules to what reads them.
 *
 * With H the handset's order and C the reader's, a stick H[k] leaves on channel k, arrives on j(k),
 * and the reader acts on C[j]. It is correct when C[j(k)] = H[k] for all four.
 */
final readonly class OrderTrace
{
    /** @param  list<Remap>  $remaps Those that are switched on, from the handset on. */
    public function __construct(
        public ChannelOrder $handset,
        public ChannelOrder $reader,
        public array $remaps = [],
    ) {
    }

    /**
     * The channel on which a stick that leaves on this one arrives.
     *
     * @param  int<1, 4>  $channel
     * @return int<1, 4>
     */
    public function arrivesOn(int $channel): int
    {
        foreach ($this->remaps as $remap) {
            $channel = $remap->channelAfter($channel);
        }

        return $channel;
    }

    /** @param  int<1, 4>  $channel */
    public function readAs(int $channel): Letter
    {
        return $this->reader->at($this->arrivesOn($channel));
    }

    public function isCorrect(): bool
    {
        foreach ([1, 2, 3, 4] as $channel) {
            if ($this->readAs($channel) !== $this->handset->at($channel)) {
                return false;
            }
        }

        return true;
    }

    /** The order as it arrives at the reader: also the controller map that would make everything right. */
    public function arriving(): ChannelOrder
    {
        $byChannel = [];
        foreach ([1, 2, 3, 4] as $channel) {
            $byChannel[$this->arrivesOn($channel)] = $this->handset->at($channel);
        }

        return ChannelOrder::fromChannels($byChannel);
    }

    /** The handset order that would make everything right: H'[k] = C[j(k)]. */
    public function handsetOrderNeeded(): ChannelOrder
    {
        return ChannelOrder::fromChannels([
            1 => $this->readAs(1), 2 => $this->readAs(2), 3 => $this->readAs(3), 4 => $this->readAs(4),
        ]);
    }

    /** @return list<StickWay> In handset order. */
    public function sticks(): array
    {
        return array_map(fn (int $channel): StickWay => new StickWay($this->handset->at($channel), $channel, $this->arrivesOn($channel), $this->readAs($channel)), [1, 2, 3, 4]);
    }
}
