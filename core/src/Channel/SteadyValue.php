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
    /** Values of a stick that is held lie no further from the newest one than this, or than so many times their noise (µs). */
    private const WITHIN_US = 6.0;

    private const WITHIN_SIGMAS = 6.0;

    /** A channel that wanders further is held by nobody, however noisy it is (µs). */
    private const WIDEST_US = 24.0;

    /** Held for so long a value is taken (ms). */
    public const HELD_MS = 400.0;

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
        $within = min(self::WIDEST_US, max(self::WITHIN_US, self::WITHIN_SIGMAS * self::noise($values)));
        while ($first > 0 && abs($values[$first - 1] - $values[$last]) <= $within) {
            $first--;
        }
        $stretch = array_slice($values, $first);
        assert($stretch !== []);
        $us = Middle::of($stretch);

        return new self($us, $log->times[$last] - $log->times[$first], Middle::deviation(array_map(static fn (float $one): float => $one - $us, $stretch)), count($stretch));
    }

    /**
     * The noise of a channel from one row to the next: a movement that is slow against the rows does not count.
     *
     * @param  non-empty-list<float>  $values
     */
    private static function noise(array $values): float
    {
        $steps = array_map(static fn (float $one, float $next): float => $next - $one, array_slice($values, 0, -1), array_slice($values, 1));

        return $steps === [] ? 0.0 : Middle::spread($steps) / M_SQRT2;
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
