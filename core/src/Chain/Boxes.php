<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;

/**
 * A chain of boxes from handset to craft, asked by the part that each has in it. Positions count from 0, at the handset.
 *
 * @implements \IteratorAggregate<int, Box>
 */
final readonly class Boxes implements \Countable, \IteratorAggregate
{
    /** @param  list<Box>  $all */
    public function __construct(public array $all)
    {
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(static fn (Box $box): string => $box->id(), $this->all);
    }

    /** Null: the chain is empty, or begins with something else. */
    public function handset(): ?Handset
    {
        $first = $this->at(0);

        return $first instanceof Handset ? $first : null;
    }

    /** What the chain ends in, if it ends in a craft. */
    public function craft(): Controller|ServoSet|null
    {
        $last = $this->at(count($this->all) - 1);

        return $last instanceof Controller || $last instanceof ServoSet ? $last : null;
    }

    public function at(int $position): ?Box
    {
        return $this->all[$position] ?? null;
    }

    public function positionOf(Box $box): ?int
    {
        $position = array_search($box, $this->all, true);

        return $position === false ? null : $position;
    }

    /** @return list<int> Positions of the receivers, from the handset on: one for each hop. */
    public function hops(): array
    {
        return array_keys(array_filter($this->all, static fn (Box $box): bool => $box instanceof Receiver));
    }

    /** The position of the receiver of a hop, from 1; null: there is no such hop. */
    public function receiverAt(int $hop): ?int
    {
        return $this->hops()[$hop - 1] ?? null;
    }

    public function receiver(int $hop): ?Receiver
    {
        $receiver = $this->at($this->receiverAt($hop) ?? -1);

        return $receiver instanceof Receiver ? $receiver : null;
    }

    /** The position of the receiver in the craft; null: there is none. */
    public function lastReceiverAt(): ?int
    {
        for ($position = count($this->all) - 1; $position >= 0; $position--) {
            if ($this->all[$position] instanceof Receiver) {
                return $position;
            }
        }

        return null;
    }

    public function lastReceiver(): ?Receiver
    {
        $receiver = $this->at($this->lastReceiverAt() ?? -1);

        return $receiver instanceof Receiver ? $receiver : null;
    }

    /** The first controller behind the last receiver: it acts on the channels, and its order and thresholds count. */
    public function controller(): ?Controller
    {
        return $this->controllerBehind($this->lastReceiverAt() ?? -1);
    }

    public function hasController(): bool
    {
        return array_filter($this->all, static fn (Box $box): bool => $box instanceof Controller) !== [];
    }

    /** @return list<Module> From the handset on. */
    public function modules(): array
    {
        return array_values(array_filter($this->all, static fn (Box $box): bool => $box instanceof Module));
    }

    /** What gets the wire of the box at this position, converters passed over. */
    public function readerOf(int $position): ?Box
    {
        foreach (array_slice($this->all, $position + 1) as $box) {
            if (! $box instanceof Converter) {
                return $box;
            }
        }

        return null;
    }

    /** @return list<Converter> Those right behind a position, up to what reads. */
    public function convertersBehind(int $position): array
    {
        $converters = [];
        foreach (array_slice($this->all, $position + 1) as $box) {
            if (! $box instanceof Converter) {
                break;
            }
            $converters[] = $box;
        }

        return $converters;
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** @return \Traversable<int, Box> */
    public function getIterator(): \Traversable
    {
        return new \ArrayIterator($this->all);
    }

    private function controllerBehind(int $position): ?Controller
    {
        foreach (array_slice($this->all, $position + 1) as $box) {
            if ($box instanceof Controller) {
                return $box;
            }
        }

        return null;
    }
}
