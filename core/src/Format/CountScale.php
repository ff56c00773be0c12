<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Quantity\Pulse;

/** Counts on the wire against µs of pulse width. */
final readonly class CountScale
{
    /** Decimals kept before rounding, so that 0.5 stays half-way whatever the division left behind. */
    private const DUST_DIGITS = 9;

    public function __construct(public int $centre, public float $usPerCount, public int $max)
    {
    }

    /** The nearest count, half-way away from zero, within what the format can carry. */
    public function count(float $us): int
    {
        return $this->clip((int) round(round(max(-1e6, min(1e6, ($us - Pulse::CENTRE_US) / $this->usPerCount)) + $this->centre, self::DUST_DIGITS)));
    }

    public function clip(int $count): int
    {
        return max(0, min($this->max, $count));
    }

    public function us(int $count): float
    {
        return Pulse::CENTRE_US + ($count - $this->centre) * $this->usPerCount;
    }
}
