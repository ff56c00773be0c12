<?php

declare(strict_types=1);

namespace Linguator\Core\StandIn;

use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Frame;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseWriter;
use Linguator\Core\Line\UartReader;
use Linguator\Core\Line\UartWriter;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A simulated receiver: sends a format with moving sticks, and faults on request. */
final readonly class StandIn
{
    /** Silence before the first frame: a capture that begins in the middle of one is another matter. */
    private const LEAD_US = 3000.0;

    private const CARRIES_IN_FAILSAFE = ['frame_lost' => true, 'failsafe' => true];

    /** A false edge in a pulse train: a spike this wide. */
    private const SPIKE_US = 40.0;

    private const FINENESS = 1 << 30;

    /** Silence that is left between two frames at least, in byte times. */
    private const BETWEEN_BYTES = 3;

    private const TRAIN_GAP_US = 2000.0;

    public function __construct(private StandInOptions $options)
    {
    }

    /**
     * Bytes of one frame after the other.
     *
     * @return \Generator<int, array{float, string}> Time of its first byte in µs, and the frame as it goes onto the wire.
     */
    public function bytes(): \Generator
    {
        $card = $this->options->card ?? throw new \LogicException('Pulses have no bytes.');
        $encoder = new Encoder($card);
        $chance = new Randomizer(new Mt19937($this->options->seed));
        $byteUs = $this->line($card)->byteUs();
        [$free, $lost] = [0.0, 0];
        foreach ($this->moments($chance) as $k => [$us, $isDropped]) {
            if ($isDropped) {
                $lost++;

                continue;
            }
            $bytes = $encoder->encode($this->frame($card, $k, $us, $lost));
            // A frame that lasts longer than its period pushes the next one back.
            $us = max($us, $free);
            $free = $us + strlen($bytes) * $byteUs + self::BETWEEN_BYTES * $byteUs;
            if ($this->happens($chance, $this->options->damaged)) {
                $at = $chance->getInt(0, strlen($bytes) - 1);
                $bytes[$at] = chr(ord($bytes[$at]) ^ 1 << $chance->getInt(0, 7));
            }
            yield [$us, $bytes];
        }
    }

    /**
     * What a serial adapter set to the format's own line makes of it: the same bytes, unless the line runs upside down or at another baud.
     *
     * @return \Generator<int, array{float, string}>
     */
    public function received(): \Generator
    {
        $card = $this->options->card ?? throw new \LogicException('Pulses have no bytes.');
        if (! $this->options->isInverted && abs($this->options->baud - $card->baud) < 1) {
            yield from $this->bytes();

            return;
        }
        $reader = new UartReader(LineSetting::of($card));
        foreach ($this->edges() as $edges) {
            $read = $reader->push($edges);
            if ($read->bytes !== '') {
                yield [$read->times[0], $read->bytes];
            }
        }
    }

    /** Level of the wire before anything is sent. */
    public function idle(): int
    {
        return $this->options->card === null ? ($this->active() ^ 1) : (new UartWriter($this->line($this->options->card)))->idleLevel();
    }

    /** @return \Generator<int, Edges> The changes of the wire, frame by frame. */
    public function edges(): \Generator
    {
        $card = $this->options->card;
        if ($card === null) {
            yield from $this->pulses();

            return;
        }
        $writer = new UartWriter($this->line($card));
        foreach ($this->bytes() as [$us, $bytes]) {
            yield $writer->write($bytes, $us);
        }
    }

    /** How long the whole lasts, µs. */
    public function lastsUs(): float
    {
        return self::LEAD_US + $this->options->seconds * 1e6;
    }

    /** @return \Generator<int, Edges> */
    private function pulses(): \Generator
    {
        $writer = new PulseWriter($this->active());
        $chance = new Randomizer(new Mt19937($this->options->seed));
        $busyUntil = 0.0;
        foreach ($this->moments($chance) as [$us, $isDropped]) {
            $values = $this->values($us);
            // A frame that is longer than its period pushes the next one back.
            $us = max($us, $busyUntil);
            $busyUntil = $us + array_sum($values) + ($this->options->format === 'ppm' ? min(self::TRAIN_GAP_US, $this->options->periodMs * 100) : 0.0);
            if ($isDropped) {
                continue;
            }
            $edges = $this->options->format === 'pwm' ? $writer->pulse($values[0], $us) : $writer->train($values, $us);
            yield $this->happens($chance, $this->options->damaged) ? self::spiked($edges) : $edges;
        }
    }

    /** @return \Generator<int, array{float, bool}> When each frame is due, and whether it is dropped. */
    private function moments(Randomizer $chance): \Generator
    {
        $count = (int) round($this->options->seconds * 1000 / $this->options->periodMs);
        for ($k = 0; $k < $count; $k++) {
            $jitter = $this->options->jitterUs === 0.0 ? 0.0 : (2 * self::fraction($chance) - 1) * $this->options->jitterUs;
            yield $k => [self::LEAD_US + $k * $this->options->periodMs * 1000 + $jitter, $this->happens($chance, $this->options->dropped)];
        }
    }

    private function frame(FormatCard $card, int $k, float $us, int $lost): Frame
    {
        $counts = array_combine(range(1, $this->options->channels), array_map($card->scale->count(...), $this->values($us)));
        $inFrame = $card->channelPart()->node->intOrNull('in_frame');
        if ($inFrame !== null) {
            $halves = array_chunk($counts, max(1, $inFrame), true);
            $counts = $halves[$k % count($halves)];
            for ($channel = (int) array_key_last($counts) + 1; count($counts) < $inFrame; $channel++) {
                $counts[$channel] = $card->scale->centre;
            }
        }

        return new Frame($counts, $this->isFailsafe($us) ? self::CARRIES_IN_FAILSAFE : [], ['lost' => $lost & 0xFF]);
    }

    /** @return list<float> */
    private function values(float $us): array
    {
        return $this->isFailsafe($us) ? Sticks::failsafe($this->options->channels) : Sticks::at(min(($us - self::LEAD_US) / 1e6, $this->options->stuckAfterS ?? INF), $this->options->channels);
    }

    private function isFailsafe(float $us): bool
    {
        return $this->options->failsafeAfterS !== null && $us - self::LEAD_US >= $this->options->failsafeAfterS * 1e6;
    }

    private function line(FormatCard $card): LineSetting
    {
        return new LineSetting(1e6 / $this->options->baud, $card->parity, $card->stopBits, $card->isInverted !== $this->options->isInverted);
    }

    /** Separators are low unless upside down, a single pulse is high. */
    private function active(): int
    {
        return ($this->options->format === 'pwm' ? 1 : 0) ^ ($this->options->isInverted ? 1 : 0);
    }

    private function happens(Randomizer $chance, float $share): bool
    {
        return $share > 0 && self::fraction($chance) < $share;
    }

    /** 0 up to but not 1. */
    private static function fraction(Randomizer $chance): float
    {
        return $chance->getInt(0, self::FINENESS - 1) / self::FINENESS;
    }

    private static function spiked(Edges $edges): Edges
    {
        $times = $edges->times;
        $at = ($times[1] + ($times[2] ?? $times[1] + 4 * self::SPIKE_US)) / 2;
        array_splice($times, 2, 0, [$at, $at + self::SPIKE_US]);

        return new Edges($edges->level, $times);
    }
}
