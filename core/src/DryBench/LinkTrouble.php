<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** Why the two ends of a link do not hear each other, although both have power. */
enum LinkTrouble: string
{
    case Family = 'family';
    case Variant = 'variant';
    case Region = 'region';
    case Firmware = 'firmware';
    /** Bound too close together: what is bound again at two metres is well. */
    case TooClose = 'too_close';
    case NotInBindMode = 'not_in_bind_mode';
    case WindowMissed = 'window_missed';
    case Mode = 'mode';
    case OtherNumber = 'other_number';
    /** The sender does not send. */
    case Unsent = 'unsent';
}
