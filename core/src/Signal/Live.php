<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Format\Framer;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Quantity\Steps;

/** Bytes that come in now: their format as soon as it can be told, then the newest values. */
final class Live implements FrameSink
{
    /** A format is looked for anew after so many more bytes, and in no more than the last so many. */
    private const LOOK_EVERY = 128;

    private const LOOK_IN = 8192;

    private ?FormatCard $card = null;

    private ?Framer $framer = null;

    private ?FrameLayout $layout = null;

    private string $waiting = '';

    private int $lookedAt = 0;

    private int $bytes = 0;

    private int $good = 0;

    private int $bad = 0;

    /** When what is pushed now came, and when the newest good frame did (ms since listening began). */
    private float $atMs = 0.0;

    private ?float $lastMs = null;

    /** @var array<int, int> */
    private array $last = [];

    /** @var array<int, int> */
    private array $low = [];

    /** @var array<int, int> */
    private array $high = [];

    private int $flags = 0;

    /** @param  list<FormatCard>  $cards  That may be it: all, or the one asked for. */
    public function __construct(private readonly array $cards)
    {
    }

    /** @param  float  $atMs  When they came, since listening began (ms): the time of a value is when it reached this machine, not when it is shown. */
    public function push(string $bytes, float $atMs = 0.0): void
    {
        $this->atMs = $atMs;
        $this->bytes += strlen($bytes);
        if ($this->framer !== null) {
            $this->framer->push(new TimedBytes($bytes), $this);

            return;
        }
        $this->waiting = substr($this->waiting.$bytes, -self::LOOK_IN);
        if ($this->bytes - $this->lookedAt >= self::LOOK_EVERY) {
            $this->lookedAt = $this->bytes;
            $this->look();
        }
    }

    /** No more bytes of this window come: what waits for confirmation is taken as it is. */
    public function finish(): void
    {
        if ($this->framer === null && $this->waiting !== '') {
            $this->look();
        }
        $this->framer?->finish($this);
    }

    /** The newest values, and what is known of their format. */
    public function snapshot(): \stdClass
    {
        $us = fn (int $count): float => Steps::clean($this->card?->scale->us($count) ?? 0.0);
        $channels = [];
        ksort($this->last);
        foreach ($this->last as $channel => $count) {
            $channels[] = ['channel' => $channel, 'us' => $us($count), 'low_us' => $us($this->low[$channel]), 'high_us' => $us($this->high[$channel])];
        }

        return (object) [
            'format' => $this->card?->reportedAs,
            'card' => $this->card?->id,
            'name' => $this->card?->name,
            'bytes' => $this->bytes,
            'good' => $this->good,
            'bad' => $this->bad,
            't_ms' => $this->lastMs,
            'flags' => array_map(fn (int $bit): bool => ($this->flags >> $bit & 1) === 1, $this->card?->flagPart()?->flagBits() ?? []),
            'channels' => $channels,
        ];
    }

    public function frames(FrameRun $run): void
    {
        assert($this->layout !== null);
        foreach ($run->frames() as $frame) {
            $this->flags = $this->layout->flagByte($frame);
            foreach ($this->layout->counts($frame) as $channel => $count) {
                $this->last[$channel] = $count;
                $this->low[$channel] = min($this->low[$channel] ?? $count, $count);
                $this->high[$channel] = max($this->high[$channel] ?? $count, $count);
            }
            $this->good++;
            $this->lastMs = $this->atMs;
        }
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->bad += $frames;
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        // Only frames with channels have values to show.
    }

    private function look(): void
    {
        $choice = Choice::ofBytes($this->cards, [new TimedBytes($this->waiting)]);
        if ($choice->card === null || ! $choice->isRecognised()) {
            return;
        }
        $this->card = $choice->card;
        $this->layout = new FrameLayout($choice->card);
        $this->framer = Framers::for($choice->card);
        $this->framer->push(new TimedBytes($this->waiting), $this);
        $this->waiting = '';
    }
}
