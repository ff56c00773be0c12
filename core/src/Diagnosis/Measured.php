<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Pulse;

/** What follows from numbers by itself (contract, `measured`): each group only where it is whole. µs and V. */
final readonly class Measured
{
    private const CENTRED_US = 3.0;

    private const SLIGHTLY_OFF_US = 50.0;

    private const FULL_LO_US = 1020.0;

    private const FULL_HI_US = 1980.0;

    private const OVER_LO_US = 980.0;

    private const OVER_HI_US = 2020.0;

    private const NO_SUPPLY_V = 0.5;

    /** @return list<Observation> */
    public static function observations(Node $measured): array
    {
        $of = $measured->numberOrNull(...);
        [$throttle, $threshold, $centre] = [$of('throttle_low_us'), $of('low_threshold_us'), $of('centre_us')];
        [$lo, $hi, $arm, $armLo, $armHi] = [$of('lo_us'), $of('hi_us'), $of('arm_us'), $of('arm_lo_us'), $of('arm_hi_us')];
        [$supply, $needed] = [$of('supply_v'), $of('supply_min_v')];

        return array_values(array_filter([
            $throttle === null || $threshold === null ? null : self::seen('throttle_lowest', $throttle >= $threshold ? 'above_threshold' : 'below_threshold'),
            $centre === null ? null : self::seen('rest_values', self::rest(abs($centre - Pulse::CENTRE_US))),
            $lo === null || $hi === null ? null : self::seen('end_values', self::ends($lo, $hi)),
            $arm === null || $armLo === null || $armHi === null ? null : self::seen('arm_value_in_window', $arm >= $armLo && $arm <= $armHi ? 'yes' : 'no'),
            $supply === null || $needed === null ? null : self::seen('supply_at_receiver', $supply < self::NO_SUPPLY_V ? 'none' : ($supply < $needed ? 'low' : 'ok')),
        ]));
    }

    private static function rest(float $off): string
    {
        return $off <= self::CENTRED_US ? 'centred' : ($off <= self::SLIGHTLY_OFF_US ? 'slightly_off' : 'far_off');
    }

    private static function ends(float $lo, float $hi): string
    {
        return match (true) {
            $lo < self::OVER_LO_US || $hi > self::OVER_HI_US => 'over',
            $lo > self::FULL_LO_US || $hi < self::FULL_HI_US => 'short',
            default => 'full',
        };
    }

    private static function seen(string $test, string $outcome): Observation
    {
        return new Observation($test, $outcome, true);
    }
}
