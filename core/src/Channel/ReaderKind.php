<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** What reads the channels at the end: a controller with a map of its own, or bare pins with labels. */
enum ReaderKind: string
{
    case Controller = 'controller';
    case Pins = 'pins';
}
