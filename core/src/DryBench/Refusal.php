<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** Why a controller does not arm. */
enum Refusal: string
{
    /** Tilted, or still calibrating. */
    case Angle = 'angle';

    /** The switch stands where it should arm, and its value lies beside the window. */
    case Window = 'window';

    case Throttle = 'throttle';
}
