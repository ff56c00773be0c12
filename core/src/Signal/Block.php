<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** Some frames in a row, their counts by column: whole columns cost less than single values. */
final readonly class Block
{
    /**
     * @param  array<int, array<int, int>>  $columns  Counts by channel, from 1, and frame, from 0; a frame need not carry every channel.
     * @param  int  $frames  How many frames these are.
     * @param  list<float>  $times  One for each frame, µs; empty where there are none.
     */
    public function __construct(public array $columns, public int $frames, public array $times = [])
    {
    }

    /** Lowest and highest of some of its frames. */
    public function bounds(int $from, int $length): Bounds
    {
        [$low, $high] = [[], []];
        foreach ($this->columns as $channel => $column) {
            $some = match (true) {
                $length === $this->frames => $column,
                count($column) === $this->frames => array_slice($column, $from, $length),
                default => array_filter($column, static fn (int $k): bool => $k >= $from && $k < $from + $length, ARRAY_FILTER_USE_KEY),
            };
            if ($some !== []) {
                $low[$channel] = min($some);
                $high[$channel] = max($some);
            }
        }

        return new Bounds($low, $high);
    }
}
