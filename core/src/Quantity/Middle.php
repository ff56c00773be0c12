<?php

declare(strict_types=1);

namespace Linguator\Core\Quantity;

/** The middle of many values, and how far they lie around it. */
final class Middle
{
    /** From the median absolute deviation to the standard deviation of a normal distribution. */
    private const NORMAL = 1.4826;

    /** @param  non-empty-list<float>  $values */
    public static function of(array $values): float
    {
        sort($values);
        $count = count($values);
        $half = intdiv($count, 2);

        return $count % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }

    /**
     * 1.4826 × median absolute deviation from zero.
     *
     * @param  non-empty-list<float>  $residuals  Each from its own middle.
     */
    public static function spread(array $residuals): float
    {
        return self::NORMAL * self::of(array_map(abs(...), $residuals));
    }

    /**
     * The standard deviation from zero.
     *
     * @param  non-empty-list<float>  $residuals
     */
    public static function deviation(array $residuals): float
    {
        return sqrt(array_sum(array_map(static fn (float $value): float => $value * $value, $residuals)) / count($residuals));
    }
}
