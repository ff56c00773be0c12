<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Gear\Module;

/**
 * On which channel everything arrives, through every module that rearranges, and what the reader takes it for.
 *
 * The one answer to this question: order, wiring, failsafe and path search ask it.
 */
final readonly class Trace
{
    /**
     * @param  ChannelOrder|null  $handset  Null: not known.
     * @param  ChannelOrder|null  $reader  What the reader takes channels 1–4 for; null: not known.
     * @param  list<Rearranging>  $modules  Those that can rearrange, from the handset on.
     * @param  int  $length  How many boxes the chain has.
     */
    public function __construct(public ?ChannelOrder $handset, public ?ChannelOrder $reader, public array $modules, private int $length)
    {
    }

    /**
     * Along joints, with the remapping of each module as the closure says.
     *
     * @param  \Closure(Module): bool  $isOn
     */
    public static function along(Joints $joints, ?ChannelOrder $handset, ?ChannelOrder $reader, \Closure $isOn): self
    {
        $modules = [];
        foreach ($joints as $position => $joint) {
            if ($joint->from instanceof Module && $joint->from->expects !== null) {
                $modules[] = new Rearranging($joint->from, $position, $isOn($joint->from), $joint->from->remapFor($joint->sent));
            }
        }

        return new self($handset, $reader, $modules, count($joints) + 1);
    }

    /** The first module that rearranges in a way nobody knows; null: there is none. */
    public function unknown(): ?Module
    {
        foreach ($this->modules as $entry) {
            if ($entry->isUnknown()) {
                return $entry->module;
            }
        }

        return null;
    }

    /** The way of the four sticks; null where something of it is not known. */
    public function sticks(): ?OrderTrace
    {
        $remaps = $this->remaps(0, $this->length);

        return $this->handset === null || $this->reader === null || $remaps === null ? null : new OrderTrace($this->handset, $this->reader, $remaps);
    }

    public function readBy(?ChannelOrder $reader): self
    {
        return new self($this->handset, $reader, $this->modules, $this->length);
    }

    /** The same with one module's remapping turned the other way. */
    public function switched(Rearranging ...$turned): self
    {
        return new self($this->handset, $this->reader, array_map(
            static fn (Rearranging $entry): Rearranging => in_array($entry, $turned, true) ? $entry->switched() : $entry,
            $this->modules,
        ), $this->length);
    }

    /** The channel on which a channel of the handset comes into the box at this position; null: not known. */
    public function forth(int $handsetChannel, int $position): ?int
    {
        $remaps = $this->remaps(0, $position);
        $channel = $handsetChannel;
        foreach ($remaps ?? [] as $remap) {
            $channel = self::isStick($channel) ? $remap->channelAfter($channel) : $channel;
        }

        return $remaps === null ? null : $channel;
    }

    /** The channel at one position that becomes this channel at the end of the chain; null: not known. */
    public function back(int $endChannel, int $position = 0): ?int
    {
        $remaps = $this->remaps($position, $this->length);
        $channel = $endChannel;
        foreach (array_reverse($remaps ?? []) as $remap) {
            $channel = self::isStick($channel) ? $remap->expects->channelOf($remap->sends->at($channel)) : $channel;
        }

        return $remaps === null ? null : $channel;
    }

    /** The channel at a position that the reader takes for this control; null without a reader whose order is known. */
    public function actingAt(Letter $letter, int $position = 0): ?int
    {
        return $this->reader === null ? null : $this->back($this->reader->channelOf($letter), $position);
    }

    /** @return list<Remap>|null Those in force between two positions; null where one of them is not known. */
    private function remaps(int $from, int $to): ?array
    {
        $remaps = [];
        foreach ($this->modules as $entry) {
            if ($entry->isOn && $entry->position >= $from && $entry->position < $to) {
                if ($entry->remap === null) {
                    return null;
                }
                $remaps[] = $entry->remap;
            }
        }

        return $remaps;
    }

    /** @phpstan-assert-if-true int<1, 4> $channel */
    private static function isStick(int $channel): bool
    {
        return $channel >= 1 && $channel <= ChannelOrder::STICKS;
    }
}
