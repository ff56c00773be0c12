<?php

declare(strict_types=1);

namespace Linguator\Core\Quantity;

/** Values that a box can only take in steps. */
final class Steps
{
    /** Dust of binary fractions, in steps: a value this close to half a step is half a step. */
    private const DUST_DIGITS = 9;

    /**
     * The nearest multiple of the step; half-way cases away from zero.
     *
     * @param  float  $step  Above 0, in the unit of the value.
     */
    public static function nearest(float $value, float $step): float
    {
        return self::clean(round(round($value / $step, self::DUST_DIGITS)) * $step);
    }

    /** The largest multiple of the step that is not above the value (both ≥ 0). */
    public static function below(float $value, float $step): float
    {
        return self::clean(floor(round($value / $step, self::DUST_DIGITS)) * $step);
    }

    /** 97.7 instead of 97.69999999999999. */
    public static function clean(float $value): float
    {
        return round($value, self::DUST_DIGITS) + 0.0;
    }

    /**
     * What lies between values that stand evenly from −100 to 100 %, straight from each to the next.
     *
     * @param  non-empty-list<float>  $values
     */
    public static function between(array $values, float $percent): float
    {
        $at = max(0.0, min(1.0, ($percent + 100) / 200)) * (count($values) - 1);
        $below = (int) floor($at);

        return self::clean($values[$below] + ($at - $below) * (($values[$below + 1] ?? $values[$below]) - $values[$below]));
    }

    /** A time in µs as ms; what is not known stays so. */
    public static function msOf(?float $us): ?float
    {
        return $us === null ? null : self::clean($us / 1000);
    }
}
