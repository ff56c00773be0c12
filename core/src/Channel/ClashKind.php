<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** Why a function cannot stay on its channel. */
enum ClashKind
{
    /** Another function rides on it. */
    case Shared;
    /** The link keeps it for something else. */
    case Reserved;
    /** It does not get through. */
    case Beyond;
}
