<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Gear\Box;
use Linguator\Core\Rig\RigDocument;

/** What a box puts out when its own input is silent, as its card says. */
enum InputLoss: string
{
    case Stops = 'stops';
    case Holds = 'holds';

    /** Null: not known. */
    public static function of(RigDocument $rig, Box $box): ?self
    {
        return self::tryFrom($rig->card($box->id())?->node()->textOrNull('on_input_loss') ?? '');
    }
}
