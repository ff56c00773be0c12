<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Chain\Rearranging;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Switching\Window;

/** Faults of the wire into what reads the channels, and of how it takes them. */
final readonly class ReadingFaults
{
    public function __construct(private World $world, private Fault $fault, private Concerned $concerned)
    {
    }

    /** @throws NotHere */
    public function put(): World
    {
        return match ($this->fault->does) {
            Change::OtherFormat => $this->unread(Oddity::OtherFormat),
            Change::OtherPort => $this->unread(Oddity::OtherPort),
            Change::LineFlipped => $this->unread(Oddity::LineFlipped),
            Change::TrainAmbiguous => $this->trainAmbiguous(),
            Change::ReaderTooSlow => $this->world->with(Oddity::ReaderTooSlow),
            Change::OtherOrder => $this->otherOrder(),
            Change::RemapTurned => $this->remapTurned(),
            Change::Interlocked => $this->interlocked(),
            default => $this->channelKept(),
        };
    }

    private function unread(Oddity $oddity): World
    {
        $this->concerned->controllerOnOneWire();

        return $this->world->with($oddity);
    }

    private function trainAmbiguous(): World
    {
        foreach (array_keys($this->concerned->rig->boxes->all) as $position) {
            $way = $this->concerned->circuit->way($position);
            if ($way instanceof WireWay && $way->isTrain()) {
                return $this->world->with(Oddity::TrainAmbiguous);
            }
        }
        throw new NotHere('no pulse train runs in it.');
    }

    /** The controller's order differs; where every channel has a plug, the first two are exchanged. */
    private function otherOrder(): World
    {
        if ($this->concerned->circuit->readerPins() !== null) {
            return count($this->concerned->craft()->functions()) > 1 ? $this->world->with(Oddity::PlugsExchanged) : throw new NotHere('there is one plug only.');
        }
        $now = $this->concerned->circuit->trace()->reader ?? throw new NotHere('the order of its controller is not known.');
        $order = $this->fault->order ?? $this->exchanged($now);
        if ($order->equals($now)) {
            throw new NotHere("its controller counts {$now->toString()} already.");
        }

        return $this->world->setUp(Altered::setting($this->world->rig, 'controller_order', $order->toString()));
    }

    /** The first stick that moves something of the craft, and the one after it. */
    private function exchanged(ChannelOrder $now): ChannelOrder
    {
        $used = array_values($this->concerned->sticks());
        usort($used, static fn (Letter $a, Letter $b): int => $now->channelOf($a) <=> $now->channelOf($b));
        [$first, $second] = match (count($used)) {
            0 => throw new NotHere('no stick moves anything of the craft.'),
            1 => [$used[0], $now->at($now->channelOf($used[0]) === 1 ? 2 : 1)],
            default => [$used[0], $used[1]],
        };
        $letters = array_map(static fn (Letter $letter): Letter => match ($letter) {
            $first => $second,
            $second => $first,
            default => $letter,
        }, $now->letters());

        return ChannelOrder::fromChannels(array_combine(range(1, count($letters)), $letters));
    }

    private function remapTurned(): World
    {
        foreach ($this->concerned->circuit->trace()->modules as $entry) {
            if ($this->changesSticks($entry)) {
                return $this->world->setUp(Altered::remap($this->world->rig, $entry->module->id, ! $entry->isOn));
            }
        }
        throw new NotHere('no module in it rearranges what the craft uses.');
    }

    private function changesSticks(Rearranging $entry): bool
    {
        foreach (array_keys($entry->remap === null ? [] : $this->concerned->sticks()) as $channel) {
            if ($channel >= 1 && $channel <= ChannelOrder::STICKS && $entry->remap?->channelAfter($channel) !== $channel) {
                return true;
            }
        }

        return false;
    }

    private function interlocked(): World
    {
        return $this->concerned->rig->window(Window::ARM) === null ? throw new NotHere('it has no window for arming.') : $this->world->with(Oddity::Interlocked);
    }

    /** The link keeps the channel of a function for itself. */
    private function channelKept(): World
    {
        if (count($this->concerned->craft()->functions()) < 2) {
            throw new NotHere('one function is too few to miss one.');
        }
        $rig = $this->concerned->rig;
        $entry = $this->concerned->lastMoved();
        $letter = Letter::ofFunction($entry->function);
        $from = $this->fault->channel ?? ($letter === null ? $entry->channel : HandsetOutput::channelOf($rig, $letter) ?? $entry->channel);

        return $this->world->dropping($this->concerned->circuit->trace()->forth($from, (int) $rig->boxes->lastReceiverAt()) ?? $from);
    }
}
