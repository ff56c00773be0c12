<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\Pulses;
use Linguator\Core\Line\PulseSink;

/** Everything that is counted and measured while the frames of a capture go by. */
final class FrameTally implements FrameSink, PulseSink
{
    private const NS_PER_US = 1000;

    private const BAD_SHOWN = 100;

    public int $good = 0;

    public int $bad = 0;

    /** @var array<string, int> */
    public array $reasons = [];

    /** @var list<BadPlace> The first ones. */
    public array $badPlaces = [];

    /** @var array<string, int> Frames of other types, by type byte in hex. */
    public array $others = [];

    /** @var array<string, string> The last frame of each other type. */
    public array $lastOther = [];

    /** @var list<PickedFrame> As many as were asked for. */
    public array $firstFrames = [];

    /** Of a pulse train whose gap cannot be told from a channel. */
    public ?ShortGap $shortGap = null;

    public readonly ChannelTally $channels;

    public readonly PeriodTally $periods;

    public readonly FlagTally $flags;

    /** How many frames the receiver itself counted as lost, by the counter that some formats carry. */
    public int $lost = 0;

    private ?int $lastLost = null;

    private ?FrameLayout $layout;

    /** @param  FormatCard|null  $card  Null: pulses in ns. */
    public function __construct(?FormatCard $card, private readonly int $shown)
    {
        $this->layout = $card === null ? null : new FrameLayout($card);
        $this->channels = $card === null
            ? new ChannelTally(1500 * self::NS_PER_US, 1 / self::NS_PER_US)
            : new ChannelTally($card->scale->centre, $card->scale->usPerCount);
        $this->periods = new PeriodTally;
        $this->flags = new FlagTally($card?->flagPart()?->flagBits() ?? []);
    }

    public function frames(FrameRun $run): void
    {
        assert($this->layout !== null);
        $count = $run->count();
        $this->flags->addRun($this->layout->flagBytesOfRun($run->bytes, $run->size), $run->times);
        for ($k = 0; $k < $count && $this->good + $k < $this->shown; $k++) {
            $this->firstFrames[] = PickedFrame::ofRun($this->good + $k, $run, $k);
        }
        for ($k = 0; $k < $count; $k += ChannelTally::BLOCK) {
            $some = $run->part($k, min($count, $k + ChannelTally::BLOCK));
            $this->channels->add(new Block($this->layout->countsOfRun($some->bytes, $some->size), $some->count(), $some->times));
        }
        foreach ($run->times as $us) {
            $this->periods->add($us);
        }
        if ($this->layout->hasValue('lost')) {
            $this->countLost($run);
        }
        $this->good += $count;
    }

    public function pulses(Pulses $pulses): void
    {
        $this->channels->addPulses($pulses);
        $this->periods->add($pulses->us);
        if ($this->good < $this->shown) {
            $this->firstFrames[] = PickedFrame::ofPulses($this->good, $pulses);
        }
        $this->good++;
    }

    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void
    {
        $this->miss($reason, $offset, $frames, $us);
    }

    public function badPulses(string $reason, Pulses $pulses): void
    {
        $this->miss($reason, null, 1, $pulses->us);
        $this->shortGap = $reason === 'sync' ? ShortGap::of($pulses)?->shorter($this->shortGap) ?? $this->shortGap : $this->shortGap;
    }

    public function other(string $type, string $frame, int $offset, ?float $us): void
    {
        $this->others[$type] = ($this->others[$type] ?? 0) + 1;
        $this->lastOther[$type] = $frame;
    }

    private function countLost(FrameRun $run): void
    {
        foreach ($run->frames() as $frame) {
            $now = $this->layout?->values($frame)['lost'] ?? 0;
            // The counter is one byte and begins anew.
            $this->lost += $this->lastLost === null ? 0 : ($now - $this->lastLost) & 0xFF;
            $this->lastLost = $now;
        }
    }

    private function miss(string $reason, ?int $offset, int $frames, ?float $us): void
    {
        $this->bad += $frames;
        $this->reasons[$reason] = ($this->reasons[$reason] ?? 0) + $frames;
        if (count($this->badPlaces) < self::BAD_SHOWN) {
            $this->badPlaces[] = new BadPlace($reason, $offset, $us, $frames);
        }
    }
}
