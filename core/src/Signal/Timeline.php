<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** How the channels moved over the whole capture: lowest and highest count, and the longest time from frame to frame, in each of a bounded number of spans. */
final class Timeline
{
    private const MOST = 600;

    /** @var list<Span> */
    private array $spans = [];

    /** Frames of one span. */
    private int $each = 1;

    private int $frames = 0;

    private ?float $last = null;

    /**
     * @param  array<int, array<int, int>>  $columns  Counts by channel and frame.
     * @param  list<float>  $times
     * @param  array<int, int>  $lows  Of the whole block, by channel.
     * @param  array<int, int>  $highs
     */
    public function add(array $columns, int $frames, array $times, array $lows, array $highs): void
    {
        for ($from = 0; $from < $frames; $from += $length) {
            $length = min($frames - $from, $this->each - $this->frames % $this->each);
            [$low, $high] = $length === $frames ? [$lows, $highs] : self::bounds($columns, $frames, $from, $length);
            $this->put(new Span($this->frames, $times[$from] ?? null, $this->longestGap($times, $from, $length), $low, $high));
            $this->frames += $length;
        }
    }

    /** @return list<Span> */
    public function spans(): array
    {
        return $this->spans;
    }

    private function put(Span $span): void
    {
        if ($this->frames % $this->each !== 0) {
            $last = array_pop($this->spans);
            assert($last !== null);
            $this->spans[] = $last->with($span);

            return;
        }
        $this->spans[] = $span;
        if (count($this->spans) > self::MOST) {
            $this->halve();
        }
    }

    private function halve(): void
    {
        $this->each *= 2;
        $this->spans = array_map(
            static fn (array $pair): Span => isset($pair[1]) ? $pair[0]->with($pair[1]) : $pair[0],
            array_chunk($this->spans, 2),
        );
    }

    /** @param  list<float>  $times */
    private function longestGap(array $times, int $from, int $length): ?float
    {
        $longest = null;
        for ($k = $from; $k < $from + $length && isset($times[$k]); $k++) {
            if ($this->last !== null && ($longest === null || $longest < $times[$k] - $this->last)) {
                $longest = $times[$k] - $this->last;
            }
            $this->last = $times[$k];
        }

        return $longest;
    }

    /**
     * @param  array<int, array<int, int>>  $columns
     * @return array{array<int, int>, array<int, int>}
     */
    private static function bounds(array $columns, int $frames, int $from, int $length): array
    {
        [$low, $high] = [[], []];
        foreach ($columns as $channel => $column) {
            $some = count($column) === $frames
                ? array_slice($column, $from, $length)
                : array_filter($column, static fn (int $k): bool => $k >= $from && $k < $from + $length, ARRAY_FILTER_USE_KEY);
            if ($some !== []) {
                $low[$channel] = min($some);
                $high[$channel] = max($some);
            }
        }

        return [$low, $high];
    }
}
