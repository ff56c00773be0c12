<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

/** Lengths of antennas. */
final class Antenna
{
    /** A quarter of the speed of light (299 792 458 m/s) in mm × MHz. */
    private const QUARTER_SPEED = 74_948.0;

    /**
     * The working part of a thin receiver antenna, mm: 74 948 / f.
     *
     * @param  float  $fMhz  Carrier, MHz, above 0.
     */
    public static function quarterWaveMm(float $fMhz): float
    {
        return self::QUARTER_SPEED / $fMhz;
    }
}
