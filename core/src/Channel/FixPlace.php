<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** Where a wrong order can be mended. */
enum FixPlace: string
{
    case Plugs = 'plugs';
    case Controller = 'controller';
    case Handset = 'handset';
    case Module = 'module';
}
