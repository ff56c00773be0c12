<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FrameRun;
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

    public function frames(FrameRun $run): void
    {
        array_push($this->wrong, ...$this->uart->takeWrong());
        $this->forget($run->offset);
        [$end, $from, $count] = [$run->offset + strlen($run->bytes), 0, $run->count()];
        while ($this->wrong !== [] && $this->wrong[0] < $end) {
            $at = intdiv($this->wrong[0] - $run->offset, $run->size);
            $this->pass($run, $from, $at);
            $this->sink->bad(self::REASON, $run->offset + $at * $run->size, $run->size, 1, $run->us($at));
            $from = $at + 1;
            $this->forget($run->offset + $from * $run->size);
        }
        $this->pass($run, $from, $count);
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->sink->bad($reason, $offset, $bytes, $frames, $us);
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        $this->sink->other($type, $frame, $offset, $us);
    }

    private function pass(FrameRun $run, int $from, int $to): void
    {
        if ($to > $from) {
            $this->sink->frames($from === 0 && $to === $run->count() ? $run : $run->part($from, $to));
        }
    }

    private function forget(int $before): void
    {
        while ($this->wrong !== [] && $this->wrong[0] < $before) {
            array_shift($this->wrong);
        }
    }
}
