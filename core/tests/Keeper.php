<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\Pulses;
use Linguator\Core\Line\PulseSink;

/** Keeps everything it is given. */
final class Keeper implements FrameSink, PulseSink
{
    /** @var list<string> */
    public array $frames = [];

    public int $bad = 0;

    /** @var list<array<int, int>> */
    public array $widths = [];

    public function frames(FrameRun $run): void
    {
        array_push($this->frames, ...$run->frames());
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->bad += $frames;
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
    }

    public function pulses(Pulses $pulses): void
    {
        $this->widths[] = $pulses->ns;
    }

    public function badPulses(string $reason, Pulses $pulses): void
    {
        $this->bad++;
    }
}
