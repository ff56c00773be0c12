<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** Lowest and highest count of each channel. */
final readonly class Bounds
{
    /**
     * @param  array<int, int>  $low  By channel.
     * @param  array<int, int>  $high  The same channels.
     */
    public function __construct(public array $low, public array $high)
    {
    }

    public function with(self $other): self
    {
        [$low, $high] = [$this->low, $this->high];
        foreach ($other->low as $channel => $count) {
            $low[$channel] = min($low[$channel] ?? $count, $count);
            $high[$channel] = max($high[$channel] ?? $other->high[$channel], $other->high[$channel]);
        }

        return new self($low, $high);
    }
}
