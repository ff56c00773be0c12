<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** Running figures of one channel, in counts. */
final class ChannelFigures
{
    public int $low = PHP_INT_MAX;

    public int $high = PHP_INT_MIN;

    public float $sum = 0;

    public int $count = 0;

    public ?int $first = null;

    public int $last = 0;

    /** How often it was seen to change, up to what makes a movement. */
    public int $moves = 0;

    /** Since this frame it has stood still, between these. */
    public int $stillFrom = 0;

    public ?float $stillFromUs = null;

    public int $stillLow = PHP_INT_MAX;

    public int $stillHigh = PHP_INT_MIN;

    public readonly QuietestSecond $noise;

    public function __construct()
    {
        $this->noise = new QuietestSecond;
    }

    public function add(int $low, int $high, float $sum, int $count, int $first, int $last): void
    {
        $this->first ??= $first;
        $this->low = min($this->low, $low);
        $this->high = max($this->high, $high);
        $this->sum += $sum;
        $this->count += $count;
        $this->last = $last;
    }
}
