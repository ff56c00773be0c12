<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Bytes between sound frames: counted as the frames that they must have been. */
final class Stretch
{
    private ?int $from = null;

    private string $reason = '';

    private ?float $us = null;

    /** A capture may begin and end in the middle of a frame: that is not a bad one. */
    private bool $isInside = false;

    /** @param  positive-int  $size  Bytes of a usual frame. */
    public function __construct(private int $size)
    {
    }

    public function open(int $offset, string $reason, ?float $us): void
    {
        if ($this->from === null) {
            [$this->from, $this->reason, $this->us] = [$offset, $reason, $us];
        }
    }

    /** A sound frame begins at this offset. */
    public function close(int $offset, int $size, FrameSink $sink): void
    {
        $before = $this->size;
        $this->size = max(1, $size);
        if ($this->from !== null) {
            $bytes = $offset - $this->from;
            $this->report($bytes, $this->isInside ? max(1, (int) round($bytes / $before)) : intdiv($bytes, $this->size), $sink);
        }
        $this->isInside = true;
    }

    /** The capture ends at this offset. */
    public function end(int $offset, FrameSink $sink): void
    {
        if ($this->from !== null) {
            $this->report($offset - $this->from, intdiv($offset - $this->from, $this->size), $sink);
        }
    }

    private function report(int $bytes, int $frames, FrameSink $sink): void
    {
        if ($frames > 0 && $bytes > 0) {
            $sink->bad($this->reason, (int) $this->from, $bytes, $frames, $this->us);
        }
        $this->from = null;
    }
}
