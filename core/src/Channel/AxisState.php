<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** What is known of the calibration of one axis. */
enum AxisState: string
{
    case Unmoved = 'unmoved';
    case Moving = 'moving';
    case Short = 'short';
    case OffCentre = 'off_centre';
    case Well = 'well';
}
