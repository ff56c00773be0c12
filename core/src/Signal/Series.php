<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\Pulses;
use Linguator\Core\Line\PulseSink;

/** The values of a capture over time, thinned out so that there are never more rows than asked for. */
final class Series implements FrameSink, PulseSink
{
    /** @var list<ValueRow> */
    private array $rows = [];

    /** Every so many frames one row is kept. */
    private int $each = 1;

    private int $frames = 0;

    /** @var array<int, float> Channels that a frame does not carry keep their value. */
    private array $last = [];

    private ?FrameLayout $layout;

    /** @param  float  $periodMs  From frame to frame where the capture has no times. */
    public function __construct(private readonly ?FormatCard $card, private readonly int $most, private readonly float $periodMs)
    {
        $this->layout = $card === null ? null : new FrameLayout($card);
    }

    public static function of(Carrier $carrier, int $most): self
    {
        return new self($carrier->card, $most, $carrier->card->usualMs ?? 0.0);
    }

    public function rows(): ValueRows
    {
        return new ValueRows($this->rows);
    }

    public function frames(FrameRun $run): void
    {
        assert($this->card !== null);
        foreach ($run->frames() as $k => $frame) {
            if ($this->isDue()) {
                assert($this->layout !== null);
                $this->keep(array_map($this->card->scale->us(...), $this->layout->counts($frame)), isset($run->times[$k]) ? $run->times[$k] / 1000 : $this->frames * $this->periodMs);
            }
            $this->frames++;
        }
    }

    public function pulses(Pulses $pulses): void
    {
        if ($this->isDue()) {
            $this->keep(array_map(static fn (int $ns): float => $ns / 1000, $pulses->ns), $pulses->us / 1000);
        }
        $this->frames++;
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->frames += $frames;
    }

    public function badPulses(string $reason, Pulses $pulses): void
    {
        // A train carries its times: nothing to count on.
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        // No values in it.
    }

    /** Frames in turn carry different channels: pairs are kept or left out together. */
    private function isDue(): bool
    {
        return intdiv($this->frames, 2) % $this->each === 0;
    }

    /** @param  array<int, float>  $us */
    private function keep(array $us, float $ms): void
    {
        $this->last = $us + $this->last;
        ksort($this->last);
        $this->rows[] = new ValueRow($ms, $this->last);
        if (count($this->rows) > $this->most) {
            $this->each *= 2;
            $pairs = array_chunk($this->rows, 2);
            $this->rows = array_merge(...array_values(array_filter($pairs, static fn (int $k): bool => $k % 2 === 0, ARRAY_FILTER_USE_KEY)));
        }
    }
}
