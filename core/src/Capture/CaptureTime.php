<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

/** The times a capture may have. */
final class CaptureTime
{
    /** Farther from zero than this (115 days) it is a slip of the file, not a time: the place is damage. µs. */
    public const FARTHEST_US = 1e13;

    public const EXPECTED = 'a time within 115 days of zero';

    public static function isPossible(float $us): bool
    {
        return $us <= self::FARTHEST_US && $us >= -self::FARTHEST_US;
    }
}
