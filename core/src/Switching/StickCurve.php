<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

use Linguator\Core\Quantity\Scale;
use Linguator\Core\Quantity\Steps;

/** Rate and expo of a stick, as fractions: out(x) = r·(x·(1 − e) + e·x³) for stick x in [−1, 1]. */
final readonly class StickCurve
{
    /** Points on each side of the centre that draw a smooth curve. */
    private const HALF = 20;

    public function __construct(private float $rate, private float $expo)
    {
    }

    public function at(float $stick): float
    {
        return $this->rate * ($stick * (1 - $this->expo) + $this->expo * $stick ** 3);
    }

    /** Slope at the centre: r·(1 − e); 1 is a stick without rate and expo. */
    public function centreGain(): float
    {
        return Steps::clean($this->rate * (1 - $this->expo));
    }

    /** From the centre at full stick, µs. */
    public function throwUs(Scale $scale): float
    {
        return Steps::clean($scale->us($this->at(1.0) * 100) - $scale->centre);
    }

    /**
     * The same through the ends of a channel: each side of the middle has a throw of its own.
     *
     * @param  \Closure(float): float  $us  µs for a share of the stick's way, −1 to 1.
     * @return list<CurvePoint>
     */
    public function pointsThrough(\Closure $us): array
    {
        $points = [];
        for ($k = -self::HALF; $k <= self::HALF; $k++) {
            $share = $this->at($k / self::HALF);
            $points[] = new CurvePoint($k * 100.0 / self::HALF, Steps::clean($share * 100), Steps::clean($us($share)));
        }

        return $points;
    }

    /** @return list<CurvePoint> */
    public function points(Scale $scale): array
    {
        return $this->pointsThrough(static fn (float $share): float => $scale->us(Steps::clean($share * 100)));
    }
}
