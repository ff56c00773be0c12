<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** What an entry of a rig's history tells. */
enum EntryKind: string
{
    case Change = 'change';
    case Undo = 'undo';
    case Note = 'note';
    /** The craft flew, or ran. */
    case Flight = 'flight';
    case Measurement = 'measurement';
    /** A try at binding. */
    case Attempt = 'attempt';
    case Test = 'test';
    case SignOff = 'sign-off';
    /** Carried over from a rig that is flown from the same memory. */
    case Shared = 'shared';
}
