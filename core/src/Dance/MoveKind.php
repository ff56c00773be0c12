<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What somebody is asked to move. */
enum MoveKind: string
{
    case Rest = 'rest';
    case Stick = 'stick';
    case Switch = 'switch';
    case Knob = 'knob';
}
