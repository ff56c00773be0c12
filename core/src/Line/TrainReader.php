<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

use Linguator\Core\Timing\PulseTrain;

/**
 * A pulse train: a channel is the time from one separator's leading edge to the next one's, a long gap starts anew.
 *
 * The number of channels is known beforehand, so that a frame whose gap is too short to be told from a channel is still seen, and counted as bad.
 */
final class TrainReader implements PulseReader
{
    private const SHORTEST_US = 600.0;

    private const LONGEST_US = 2600.0;

    private const MOST_CHANNELS = 16;

    private ?float $lead = null;

    private ?float $frameAt = null;

    /** @var array<int, int> */
    private array $widths = [];

    private float $longest = 0.0;

    private bool $isInside = false;

    /** A frame whose gap was too short: what follows tells why. */
    private ?Pulses $short = null;

    /**
     * @param  int  $separator  Level of the separators.
     * @param  int  $channels  As learned from the capture's begin.
     */
    public function __construct(private readonly int $separator, private readonly int $channels, private readonly float $syncDetectUs = PulseTrain::USUAL_DETECT_US)
    {
    }

    public function push(Edges $edges, PulseSink $sink): void
    {
        $first = $edges->level === $this->separator ? 0 : 1;
        $times = $edges->times;
        [$lead, $channels, $detect] = [$this->lead, $this->channels, $this->syncDetectUs];
        [$widths, $longest] = [$this->widths, $this->longest];
        $count = count($widths);
        for ($k = $first, $n = count($times); $k < $n; $k += 2) {
            $us = $times[$k];
            if ($lead !== null) {
                $interval = $us - $lead;
                $this->frameAt ??= $lead;
                if ($interval <= $detect && $count < $channels) {
                    $widths[++$count] = (int) round($interval * 1000);
                    if ($interval > $longest) {
                        $longest = $interval;
                    }
                } else {
                    [$this->widths, $this->longest] = [$widths, $longest];
                    $this->gap($interval, $us, $sink);
                    [$widths, $longest, $count] = [[], 0.0, 0];
                }
            }
            $lead = $us;
        }
        [$this->lead, $this->widths, $this->longest] = [$lead, $widths, $longest];
    }

    public function finish(PulseSink $sink): void
    {
        $this->settle($sink);
        // The gap behind the last frame is cut off: its channels are whole all the same.
        if ($this->frameAt !== null && $this->widths !== [] && count($this->widths) === $this->channels && $this->isUsual()) {
            $sink->pulses(new Pulses($this->widths, $this->frameAt));
        }
    }

    /** An interval that is no channel: the gap, or one channel too many. */
    private function gap(float $interval, float $us, PulseSink $sink): void
    {
        $count = count($this->widths);
        if ($count === 0 && $this->short !== null && $interval > $this->syncDetectUs) {
            $this->explain($sink);
        }
        // A capture may begin in the middle of a frame: that is no bad one.
        if ($this->frameAt !== null && $count > 0 && ($this->isInside || $count === $this->channels)) {
            $this->close($interval, $sink);
        }
        $this->isInside = true;
        [$this->frameAt, $this->widths, $this->longest] = [$us, [], 0.0];
    }

    private function close(float $gap, PulseSink $sink): void
    {
        $fault = match (true) {
            $gap < max($this->syncDetectUs, $this->longest + PulseTrain::UNMISTAKABLE_US) => 'sync',
            count($this->widths) !== $this->channels => 'channels',
            ! $this->isUsual() => 'pulse',
            default => null,
        };
        $frame = new Pulses($this->widths, $this->frameAt ?? 0.0, $gap);
        if ($this->short !== null && $fault === 'channels') {
            $this->explain($sink);

            return;
        }
        $this->settle($sink);
        if ($fault === 'sync') {
            $this->short = $frame;
        } elseif ($fault === null && $this->widths !== []) {
            $sink->pulses($frame);
        } else {
            $sink->badPulses((string) $fault, $frame);
        }
    }

    /** The short gap was none: a false edge made channels too many, and what came now is the rest of that frame. */
    private function explain(PulseSink $sink): void
    {
        if ($this->short !== null) {
            $sink->badPulses('channels', $this->short);
            $this->short = null;
        }
    }

    /** What came after a frame with a short gap did not explain it: the gap is too short. */
    private function settle(PulseSink $sink): void
    {
        if ($this->short !== null) {
            $sink->badPulses('sync', $this->short);
            $this->short = null;
        }
    }

    private function isUsual(): bool
    {
        return $this->widths !== [] && min($this->widths) >= self::SHORTEST_US * 1000 && $this->longest <= self::LONGEST_US && count($this->widths) <= self::MOST_CHANNELS;
    }
}
