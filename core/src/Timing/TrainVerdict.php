<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** Whether a reader finds the begin of a pulse train. */
enum TrainVerdict: string
{
    case Sound = 'sound';
    /** The gap can be taken for a channel. */
    case Ambiguous = 'ambiguous';
    /** The gap can be overlooked. */
    case Undetected = 'undetected';
}
