<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** Where a handset's wire comes out; `wire` for every other box. */
enum Place: string
{
    case Bay = 'bay';
    case Trainer = 'trainer';
    case Wire = 'wire';
}
