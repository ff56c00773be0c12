<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What a stick that is held says. */
enum SignKind: string
{
    case Skip = 'skip';
    case Again = 'again';
    case Stop = 'stop';
}
