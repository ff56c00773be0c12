<?php

declare(strict_types=1);

namespace Linguator\Core\Quantity;

/** How a handset's percent become pulse widths: µs = centre + us_per_100 × percent / 100. */
final readonly class Scale
{
    /**
     * @param  float  $centre  µs
     * @param  float  $usPer100  µs per 100 %, above 0.
     */
    public function __construct(public float $centre, public float $usPer100)
    {
    }

    public function us(float $percent): float
    {
        return $this->centre + $this->usPer100 * $percent / 100;
    }

    public function percent(float $us): float
    {
        return ($us - $this->centre) / $this->usPer100 * 100;
    }

    /** The same throw on another maker's scale, without measuring: pct_B = pct_A × us_per_100_A / us_per_100_B. */
    public function translated(float $percent, self $to): float
    {
        return $percent * $this->usPer100 / $to->usPer100;
    }
}
