<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\Pulses;
use Linguator\Core\Line\PulseSink;

/** Some sound frames of a capture, from one on. */
final class FramePick implements FrameSink, PulseSink
{
    /** @var list<PickedFrame> */
    public array $picked = [];

    private int $index = 0;

    /** @param  int  $from  From 0. */
    public function __construct(private readonly int $from, private readonly int $count)
    {
    }

    public function frames(FrameRun $run): void
    {
        $count = $run->count();
        for ($k = max(0, $this->from - $this->index); $k < $count && count($this->picked) < $this->count; $k++) {
            $this->picked[] = PickedFrame::ofRun($this->index + $k, $run, $k);
        }
        $this->index += $count;
        $this->stopIfFull();
    }

    public function pulses(Pulses $pulses): void
    {
        if ($this->index >= $this->from) {
            $this->picked[] = PickedFrame::ofPulses($this->index, $pulses);
        }
        $this->index++;
        $this->stopIfFull();
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        // Only sound frames have an index.
    }

    public function badPulses(string $reason, Pulses $pulses): void
    {
        // Only sound frames have an index.
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        // Only frames with channels have an index.
    }

    private function stopIfFull(): void
    {
        if (count($this->picked) >= $this->count) {
            throw new Enough;
        }
    }
}
