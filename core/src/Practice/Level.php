<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

/** How hard a game is. */
enum Level: string
{
    case Plain = 'plain';
    case Subtle = 'subtle';
    /** Two faults at once. */
    case Two = 'two';

    public function faults(): int
    {
        return $this === self::Two ? 2 : 1;
    }
}
