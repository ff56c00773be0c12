<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** The steps of a rig, in the order of the job. */
enum StepKey: string
{
    case Path = 'path';
    case Wiring = 'wiring';
    case Bind = 'bind';
    case Order = 'order';
    case Travel = 'travel';
    case Switches = 'switches';
    case Failsafe = 'failsafe';
    case CheckOut = 'check-out';

    public function title(): string
    {
        return ucfirst($this->value);
    }
}
