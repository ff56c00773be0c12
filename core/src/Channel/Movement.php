<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** One stick out and back, as a channel log shows it. Times in ms, channels counted from 1. */
final readonly class Movement
{
    /** @param  non-empty-array<int, bool>  $upFirst For each channel that took part: whether it rose first. */
    public function __construct(public float $from, public float $to, public array $upFirst)
    {
    }

    /** @return list<int> */
    public function channels(): array
    {
        $channels = array_keys($this->upFirst);
        sort($channels);

        return $channels;
    }

    public function overlaps(self $that): bool
    {
        return $that->from <= $this->to && $this->from <= $that->to;
    }

    /** Both as one; the direction of the earlier counts for a channel in both. */
    public function joinedWith(self $later): self
    {
        return new self(min($this->from, $later->from), max($this->to, $later->to), $this->upFirst + $later->upFirst);
    }
}
