<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\UartReader;

/** A frame with a byte of wrong parity is no sound one where the format has parity: a strict reader drops it. Stands before the sink that counts. */
final class ParityGuard implements FrameSink
{
    private const REASON = 'parity';

    /** @var list<int> Positions of such bytes that no frame has reached yet, in order. */
    private array $wrong = [];

    public function __construct(private readonly UartReader $uart, private readonly FrameSink $sink)
    {
    }

    public function frames(string $frames, int $size, int $offset, array $times): void
    {
        array_push($this->wrong, ...$this->uart->takeWrong());
        $this->forget($offset);
        [$end, $from, $length] = [$offset + strlen($frames), 0, strlen($frames)];
        while ($this->wrong !== [] && $this->wrong[0] < $end) {
            $at = intdiv($this->wrong[0] - $offset, $size) * $size;
            $this->pass($frames, $size, $offset, $times, $from, $at);
            $this->sink->bad(self::REASON, $offset + $at, $size, 1, $times[intdiv($at, $size)] ?? null);
            $from = $at + $size;
            $this->forget($offset + $from);
        }
        $this->pass($frames, $size, $offset, $times, $from, $length);
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->sink->bad($reason, $offset, $bytes, $frames, $us);
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        $this->sink->other($type, $frame, $offset, $us);
    }

    /**
     * @param  positive-int  $size
     * @param  list<float>  $times
     */
    private function pass(string $frames, int $size, int $offset, array $times, int $from, int $to): void
    {
        if ($to <= $from) {
            return;
        }
        $isAll = $from === 0 && $to === strlen($frames);
        $this->sink->frames($isAll ? $frames : substr($frames, $from, $to - $from), $size, $offset + $from, $isAll ? $times : array_slice($times, intdiv($from, $size), intdiv($to - $from, $size)));
    }

    private function forget(int $before): void
    {
        while ($this->wrong !== [] && $this->wrong[0] < $before) {
            array_shift($this->wrong);
        }
    }
}
