<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** What a pin of a plug is for. */
enum PlugPin: string
{
    case Signal = 'signal';
    case Plus = 'plus';
    case Ground = 'ground';
    case Data = 'data';
    case Free = 'free';
}
