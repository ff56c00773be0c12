<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** How one channel follows from another one: other − 1500 = scale × (this − 1500) + shift. */
final readonly class Fit
{
    /** What one that runs the other way is worth: running the same way is likelier. */
    private const OTHER_WAY = 0.97;

    /**
     * @param  float  $correlation  −1 to 1.
     * @param  float  $shiftUs  At the centre, µs.
     */
    public function __construct(public float $correlation, public float $scale, public float $shiftUs)
    {
    }

    /** Nothing can be said. */
    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    /** 0 to 1. */
    public function likeness(): float
    {
        return $this->correlation >= 0 ? $this->correlation : -self::OTHER_WAY * $this->correlation;
    }
}
