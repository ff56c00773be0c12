<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FrameRun;
use Linguator\Core\Line\Pulses;

/** A sound frame of a capture: bytes, or the pulses of a train. */
final readonly class PickedFrame
{
    /**
     * @param  int  $index  Among the sound frames, from 0.
     * @param  float|null  $us  When it begins; null: the capture has no times.
     * @param  int|null  $offset  Of its first byte in the capture.
     * @param  string|null  $bytes  Null: pulses.
     * @param  array<int, int>  $widths  ns by channel, from 1.
     */
    private function __construct(public int $index, public ?float $us, public ?int $offset, public ?string $bytes, public array $widths)
    {
    }

    /** @param  int  $k  Which frame of the run, from 0. */
    public static function ofRun(int $index, FrameRun $run, int $k): self
    {
        return new self($index, $run->us($k), $run->offset + $k * $run->size, $run->frame($k), []);
    }

    public static function ofPulses(int $index, Pulses $pulses): self
    {
        return new self($index, $pulses->us, null, null, $pulses->ns);
    }
}
