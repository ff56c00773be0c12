<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

use Linguator\Core\Quantity\Middle;

/**
 * What a channel shows while somebody holds its stick: the stretch at the end of a log in which it stays where it is. Held for long enough it is
 * taken; its value is the middle of the stretch, so that a single bad frame does not count.
 */
final readonly class SteadyValue
{
    /** Values of a stick that is held lie no further from the newest one than this (µs). */
    private const WITHIN_US = 4.0;

    /** Held for so long a value is taken (ms). */
    public const HELD_MS = 700.0;

    /** A value this far from the one that was taken before is another one (µs). */
    private const OTHER_US = 60.0;

    /** Rows below this say nothing. */
    private const FEWEST = 4;

    /**
     * @param  float  $us  Middle of the stretch.
     * @param  float  $forMs  How long it has been so.
     * @param  float  $noiseUs  Standard deviation in it.
     */
    private function __construct(public float $us, public float $forMs, public float $noiseUs, private int $rows)
    {
    }

    /** @param  int  $channel  As the log counts, from 1. */
    public static function of(ChannelLog $log, int $channel): self
    {
        $values = $log->columns[$channel - 1];
        $last = $log->count() - 1;
        $first = $last;
        while ($first > 0 && abs($values[$first - 1] - $values[$last]) <= self::WITHIN_US) {
            $first--;
        }
        $stretch = array_slice($values, $first);
        assert($stretch !== []);
        $us = Middle::of($stretch);

        return new self($us, $log->times[$last] - $log->times[$first], Middle::deviation(array_map(static fn (float $one): float => $one - $us, $stretch)), count($stretch));
    }

    public function isHeld(): bool
    {
        return $this->forMs >= self::HELD_MS && $this->rows >= self::FEWEST;
    }

    /** Whether it is not the one that was taken before. */
    public function isOtherThan(?float $taken): bool
    {
        return $taken === null || abs($this->us - $taken) > self::OTHER_US;
    }
}
