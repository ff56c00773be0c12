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
