<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Rig\CraftKind;
use Linguator\Core\Rig\RigDocument;

/** Where the throttle stick must be when the link comes back. */
final class Recovery
{
    public static function sentence(RigDocument $rig): string
    {
        return match (true) {
            $rig->holdsPosition() => 'When the link comes back the throttle stick must be in the middle: the craft follows it at once.',
            $rig->motorOffAtCentre() => 'When the link comes back the throttle stick must be in the middle: elsewhere the craft drives off.',
            $rig->kind() === CraftKind::Multirotor => 'When the link comes back the throttle stick must be low and the arm switch off.',
            default => 'When the link comes back the throttle stick must be low: elsewhere the motor starts at once.',
        };
    }
}
