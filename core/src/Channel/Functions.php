<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

use Linguator\Core\Document\Node;

/**
 * The functions of a craft as somebody told them, each on its channel of the handset.
 *
 * @implements \IteratorAggregate<int, FunctionChannel>
 */
final readonly class Functions implements \Countable, \IteratorAggregate, \JsonSerializable
{
    /** @param  list<FunctionChannel>  $all */
    private function __construct(public array $all)
    {
    }

    public static function of(FunctionChannel ...$functions): self
    {
        return new self(array_values($functions));
    }

    /** @param  list<Node>  $entries  Each with `function` and `channel`. */
    public static function fromNodes(array $entries): self
    {
        return new self(array_map(static fn (Node $entry): FunctionChannel => new FunctionChannel($entry->text('function'), $entry->int('channel')), $entries));
    }

    /** The first channel of this name; null: it is not among them. */
    public function channelOf(string $function): ?int
    {
        foreach ($this->all as $entry) {
            if ($entry->function === $function) {
                return $entry->channel;
            }
        }

        return null;
    }

    public function has(string $function): bool
    {
        return $this->channelOf($function) !== null;
    }

    public function isEmpty(): bool
    {
        return $this->all === [];
    }

    /** Whether one of the four sticks is among them. */
    public function namesStick(): bool
    {
        return array_filter($this->all, static fn (FunctionChannel $entry): bool => Letter::ofFunction($entry->function) !== null) !== [];
    }

    public function highest(): int
    {
        return max([0, ...array_map(static fn (FunctionChannel $entry): int => $entry->channel, $this->all)]);
    }

    public function countChannels(): int
    {
        return count(array_unique(array_map(static fn (FunctionChannel $entry): int => $entry->channel, $this->all)));
    }

    /**
     * Sticks told on another channel than the one on which the handset's order sends them.
     *
     * @return list<FunctionChannel> As told.
     */
    public function against(ChannelOrder $order): array
    {
        return array_values(array_filter($this->all, static fn (FunctionChannel $entry): bool => ! in_array(self::channelBy($order, $entry), [null, $entry->channel], true)));
    }

    /** The same, its sticks on the channels on which the handset's order sends them. */
    public function following(ChannelOrder $order): self
    {
        $moved = array_map(static fn (FunctionChannel $entry): FunctionChannel => new FunctionChannel($entry->function, self::channelBy($order, $entry) ?? $entry->channel), $this->all);
        usort($moved, static fn (FunctionChannel $a, FunctionChannel $b): int => $a->channel <=> $b->channel);

        return new self($moved);
    }

    /** The order in which the four sticks are told; null: one is missing, or not among the first four channels. */
    public function stickOrder(): ?ChannelOrder
    {
        $letters = [];
        foreach ($this->all as $entry) {
            $letter = Letter::ofFunction($entry->function);
            if ($letter !== null && $entry->channel <= ChannelOrder::STICKS) {
                $letters[$entry->channel] = $letter;
            }
        }

        return count($letters) === ChannelOrder::STICKS && count(array_unique(array_map(static fn (Letter $letter): string => $letter->value, $letters))) === ChannelOrder::STICKS ? ChannelOrder::fromChannels($letters) : null;
    }

    private static function channelBy(ChannelOrder $order, FunctionChannel $entry): ?int
    {
        $letter = Letter::ofFunction($entry->function);

        return $letter === null ? null : $order->channelOf($letter);
    }

    public function and(FunctionChannel ...$more): self
    {
        return new self([...$this->all, ...array_values($more)]);
    }

    /** Those on the first so many channels. */
    public function upTo(int $channels): self
    {
        return new self(array_values(array_filter($this->all, static fn (FunctionChannel $entry): bool => $entry->channel <= $channels)));
    }

    /** Those beyond the four sticks. */
    public function auxiliaries(): self
    {
        return new self(array_values(array_filter($this->all, static fn (FunctionChannel $entry): bool => $entry->isAuxiliary())));
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** @return \Traversable<int, FunctionChannel> */
    public function getIterator(): \Traversable
    {
        return new \ArrayIterator($this->all);
    }

    /** @return list<\stdClass> As documents have them. */
    public function jsonSerialize(): array
    {
        return array_map(static fn (FunctionChannel $entry): \stdClass => (object) ['function' => $entry->function, 'channel' => $entry->channel], $this->all);
    }
}
