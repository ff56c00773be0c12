<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** What kind of craft a rig is set up for. */
enum CraftKind: string
{
    case Multirotor = 'multirotor';
    case Plane = 'plane';
    case Glider = 'glider';
    case Boat = 'boat';
    case Car = 'car';
    case Other = 'other';

    /** Its throttle goes both ways: the middle stops the motor. */
    public function runsOnTheGround(): bool
    {
        return $this === self::Car || $this === self::Boat;
    }
}
