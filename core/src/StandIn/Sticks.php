<?php

declare(strict_types=1);

namespace Linguator\Core\StandIn;

use Linguator\Core\Quantity\Pulse;

/** Somebody at the sticks: the first four channels move slowly, the fifth is a switch, the rest rest. */
final readonly class Sticks
{
    private const THROW_US = 400.0;

    /** Seconds of one sweep of each stick: never in step with one another. */
    private const SWEEP_S = [4.0, 5.3, 6.7, 8.1];

    private const SWITCH_US = [Pulse::LOW_US, Pulse::HIGH_US];

    private const SWITCH_S = 3.0;

    /** Aileron, elevator, throttle, rudder, then switches: throttle off, the rest in the middle. */
    private const FAILSAFE_US = [Pulse::CENTRE_US, Pulse::CENTRE_US, 988.0, Pulse::CENTRE_US];

    /** @return list<float> µs by channel. */
    public static function at(float $seconds, int $channels): array
    {
        $us = [];
        for ($k = 0; $k < $channels; $k++) {
            $us[] = match (true) {
                $k < 4 => round(Pulse::CENTRE_US + self::THROW_US * sin(2 * M_PI * $seconds / self::SWEEP_S[$k]), 2),
                $k === 4 => self::SWITCH_US[(int) ($seconds / self::SWITCH_S) % 2],
                default => Pulse::CENTRE_US,
            };
        }

        return $us;
    }

    /** @return list<float> */
    public static function failsafe(int $channels): array
    {
        return array_map(static fn (int $k): float => self::FAILSAFE_US[$k] ?? Pulse::CENTRE_US, range(0, $channels - 1));
    }
}
