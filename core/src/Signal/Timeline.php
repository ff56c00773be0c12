<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** How the channels moved over the whole capture: lowest and highest count, and the longest time from frame to frame, in each of a bounded number of spans. */
final class Timeline
{
    private const MOST = 600;

    /** @var list<array{frame: int, us: float|null, gap_us: float|null, low: array<int, int>, high: array<int, int>}> */
    private array $spans = [];

    /** Frames of one span. */
    private int $each = 1;

    private int $frames = 0;

    private ?float $last = null;

    /**
     * @param  list<array<int, int>>  $rows
     * @param  list<float>  $times
     */
    public function add(array $rows, array $times): void
    {
        foreach ($rows as $k => $row) {
            $us = $times[$k] ?? null;
            $gap = $us === null || $this->last === null ? null : $us - $this->last;
            $this->last = $us;
            if ($this->frames % $this->each === 0) {
                $this->spans[] = ['frame' => $this->frames, 'us' => $us, 'gap_us' => $gap, 'low' => $row, 'high' => $row];
                if (count($this->spans) > self::MOST) {
                    $this->halve();
                }
            } elseif ($gap !== null && $gap > ($this->spans[count($this->spans) - 1]['gap_us'] ?? 0.0)) {
                $this->spans[count($this->spans) - 1]['gap_us'] = $gap;
            }
            if ($this->frames % $this->each !== 0 && ($this->each < 64 || $this->frames % ($this->each >> 5) === 0)) {
                // Of long spans a sample is enough for a drawing.
                $span = array_pop($this->spans);
                assert($span !== null);
                $this->spans[] = self::merge($span, $row, $row);
            }
            $this->frames++;
        }
    }

    /** @return list<array{frame: int, us: float|null, gap_us: float|null, low: array<int, int>, high: array<int, int>}> */
    public function spans(): array
    {
        return $this->spans;
    }

    private function halve(): void
    {
        $this->each *= 2;
        $halved = [];
        foreach (array_chunk($this->spans, 2) as $pair) {
            $halved[] = isset($pair[1]) ? ['gap_us' => self::longer($pair[0]['gap_us'], $pair[1]['gap_us'])] + self::merge($pair[0], $pair[1]['low'], $pair[1]['high']) : $pair[0];
        }
        $this->spans = $halved;
    }

    /**
     * @param  array{frame: int, us: float|null, gap_us: float|null, low: array<int, int>, high: array<int, int>}  $span
     * @param  array<int, int>  $low
     * @param  array<int, int>  $high
     * @return array{frame: int, us: float|null, gap_us: float|null, low: array<int, int>, high: array<int, int>}
     */
    private static function merge(array $span, array $low, array $high): array
    {
        foreach ($low as $channel => $count) {
            $span['low'][$channel] = min($span['low'][$channel] ?? $count, $count);
            $span['high'][$channel] = max($span['high'][$channel] ?? $high[$channel], $high[$channel]);
        }

        return $span;
    }

    private static function longer(?float $a, ?float $b): ?float
    {
        return $a === null || $b === null ? $a ?? $b : max($a, $b);
    }
}
