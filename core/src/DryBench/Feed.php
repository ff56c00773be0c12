<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What a box gets of power. */
enum Feed: string
{
    case Ok = 'ok';
    case Low = 'low';
    case None = 'none';
}
