<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

/** How it stands with a coupling. */
enum CouplingState: string
{
    case Joined = 'joined';
    case NeedsSetting = 'needs_setting';
    case WillNotJoin = 'will_not_join';
    case Untested = 'untested';
}
