<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What a channel turned out to be. */
enum ChannelKind: string
{
    case Stick = 'stick';
    case Switch = 'switch';
    case Knob = 'knob';
    case Still = 'still';
    case Unclear = 'unclear';
}
