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

    public function add(Block $block): void
    {
        for ($from = 0; $from < $block->frames; $from += $length) {
            $length = min($block->frames - $from, $this->each - $this->frames % $this->each);
            $this->put(new Span($this->frames, $block->times[$from] ?? null, $this->longestGap($block, $from, $length), $block->bounds($from, $length)));
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

    private function longestGap(Block $block, int $from, int $length): ?float
    {
        $longest = null;
        for ($k = $from; $k < $from + $length && isset($block->times[$k]); $k++) {
            if ($this->last !== null && ($longest === null || $longest < $block->times[$k] - $this->last)) {
                $longest = $block->times[$k] - $this->last;
            }
            $this->last = $block->times[$k];
        }

        return $longest;
    }
}
