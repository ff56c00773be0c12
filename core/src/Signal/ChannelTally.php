<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Line\Pulses;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Steps;

/**
 * What each channel did over a capture, in memory that does not grow with it.
 *
 * Values come as counts and are turned to µs at the end: µs = 1500 + (count − centre) × µs per count.
 */
final class ChannelTally
{
    /** Frames looked at together: whole columns cost less than single values. */
    public const BLOCK = 256;

    /** A channel within this, in µs, stands still. */
    public const STILL_US = 2.0;

    /** A channel that changed so often has been moved, not switched. */
    private const MOVES = 8;

    /** A channel is stuck when it stands still for this share of the capture, up to its end. */
    private const STUCK_SHARE = 0.25;

    private const STUCK_FRAMES = 20;

    /** @var array<int, array<int, int>> Counts by channel and frame of the block under way; a frame need not carry every channel. */
    private array $columns = [];

    /** Frames of the block under way. */
    private int $waiting = 0;

    /** @var list<float> */
    private array $times = [];

    /** @var array<int, ChannelFigures> By channel. */
    private array $channels = [];

    private int $frames = 0;

    private float $still;

    private readonly Timeline $timeline;

    public function __construct(private readonly int $centre, private readonly float $usPerCount)
    {
        $this->still = self::STILL_US / $usPerCount;
        $this->timeline = new Timeline;
    }

    public function add(Block $block): void
    {
        if ($this->waiting === 0) {
            $this->columns = $block->columns;
            $this->times = $block->times;
        } else {
            foreach ($block->columns as $channel => $column) {
                foreach ($column as $k => $count) {
                    $this->columns[$channel][$this->waiting + $k] = $count;
                }
            }
            array_push($this->times, ...$block->times);
        }
        $this->waiting += $block->frames;
        if ($this->waiting >= self::BLOCK) {
            $this->flush();
        }
    }

    public function addPulses(Pulses $pulses): void
    {
        foreach ($pulses->ns as $channel => $count) {
            $this->columns[$channel][$this->waiting] = $count;
        }
        $this->times[] = $pulses->us;
        if (++$this->waiting >= self::BLOCK) {
            $this->flush();
        }
    }

    /** @return list<ChannelSummary> By channel. */
    public function summaries(): array
    {
        $this->flush();
        ksort($this->channels);
        $all = [];
        foreach ($this->channels as $channel => $figures) {
            $noise = $figures->noise->sigma();
            $all[] = new ChannelSummary(
                $channel,
                $this->us($figures->low),
                $this->us($figures->sum / $figures->count),
                $this->us($figures->high),
                $this->us($figures->last),
                $noise === null ? null : Steps::clean($noise * $this->usPerCount),
            );
        }

        return $all;
    }

    /** @return list<StuckChannel> */
    public function stuck(): array
    {
        $this->flush();
        $stuck = [];
        foreach ($this->channels as $channel => $figures) {
            $tail = $this->frames - $figures->stillFrom;
            if ($figures->moves >= self::MOVES && $figures->high - $figures->low >= Pulse::MOVED_US / $this->usPerCount && $tail >= max(self::STUCK_FRAMES, self::STUCK_SHARE * $this->frames)) {
                $stuck[] = new StuckChannel($channel, $this->us($figures->last), $figures->stillFrom, $figures->stillFromUs, abs($figures->last - ($figures->first ?? 0)) <= $this->still);
            }
        }

        return $stuck;
    }

    /** @return list<Span> How the channels moved, from the begin to the end of the capture. */
    public function spans(): array
    {
        $this->flush();

        return $this->timeline->spans();
    }

    public function us(float $count): float
    {
        return Steps::clean(Pulse::CENTRE_US + ($count - $this->centre) * $this->usPerCount);
    }

    private function flush(): void
    {
        if ($this->waiting === 0) {
            return;
        }
        foreach ($this->columns as $channel => $column) {
            if ($column !== []) {
                $this->column($this->channels[$channel] ??= new ChannelFigures, $column);
            }
        }
        $this->timeline->add(new Block($this->columns, $this->waiting, $this->times));
        $this->frames += $this->waiting;
        [$this->columns, $this->times, $this->waiting] = [[], [], 0];
    }

    /** @param  non-empty-array<int, int>  $column  By frame of the block. */
    private function column(ChannelFigures $figures, array $column): void
    {
        [$low, $high] = [min($column), max($column)];
        $figures->add($low, $high, (float) array_sum($column), count($column), $column[array_key_first($column)], $column[array_key_last($column)]);
        if ($this->times !== []) {
            $figures->noise->addAll($this->times, $column);
        }
        if (max($high, $figures->stillHigh) - min($low, $figures->stillLow) <= $this->still) {
            $figures->stillHigh = max($high, $figures->stillHigh);
            $figures->stillLow = min($low, $figures->stillLow);

            return;
        }
        $this->countMoves($figures, $column);
        $this->findStill($figures, $column);
    }

    /** @param  non-empty-array<int, int>  $column */
    private function countMoves(ChannelFigures $figures, array $column): void
    {
        $last = $column[array_key_first($column)];
        foreach ($column as $count) {
            if ($figures->moves >= self::MOVES) {
                return;
            }
            if (abs($count - $last) > $this->still) {
                $figures->moves++;
                $last = $count;
            }
        }
    }

    /**
     * From where on the channel stands still to the end of the block.
     *
     * @param  non-empty-array<int, int>  $column
     */
    private function findStill(ChannelFigures $figures, array $column): void
    {
        $low = PHP_INT_MAX;
        $high = PHP_INT_MIN;
        $from = array_key_last($column);
        for ($k = $from; $k >= 0; $k--) {
            $count = $column[$k] ?? null;
            if ($count === null) {
                continue;
            }
            if (max($high, $count) - min($low, $count) > $this->still) {
                break;
            }
            [$low, $high, $from] = [min($low, $count), max($high, $count), $k];
        }
        [$figures->stillLow, $figures->stillHigh] = [$low, $high];
        $figures->stillFrom = $this->frames + $from;
        $figures->stillFromUs = $this->times[$from] ?? null;
    }
}
