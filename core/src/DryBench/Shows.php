<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What a light says. */
enum Shows: string
{
    case Linked = 'linked';
    case Searching = 'searching';
    case Off = 'off';
    case Bind = 'bind';
}
