<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Sound frames of the same size, one right behind the other; nothing escaped. */
final readonly class FrameRun
{
    /**
     * @param  positive-int  $size  Bytes of each.
     * @param  int  $offset  Of the first byte from the start of the capture.
     * @param  list<float>  $times  When each frame began, µs; empty where there are no times.
     */
    public function __construct(public string $bytes, public int $size, public int $offset, public array $times = [])
    {
    }

    public function count(): int
    {
        return intdiv(strlen($this->bytes), $this->size);
    }

    /** When a frame began, µs; null: there are no times. */
    public function us(int $k): ?float
    {
        return $this->times[$k] ?? null;
    }

    /** @param  int  $k  From 0. */
    public function frame(int $k): string
    {
        return substr($this->bytes, $k * $this->size, $this->size);
    }

    /** @return list<string> */
    public function frames(): array
    {
        return str_split($this->bytes, $this->size);
    }

    /** Some of its frames, from one on, up to another one that is not among them. */
    public function part(int $from, int $to): self
    {
        return new self(substr($this->bytes, $from * $this->size, ($to - $from) * $this->size), $this->size, $this->offset + $from * $this->size, array_slice($this->times, $from, $to - $from));
    }
}
