<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** In which sequence a day is written; its month is a word in both. */
enum DayForm: string
{
    case DayFirst = 'day-first';
    case MonthFirst = 'month-first';

    /** As PHP writes dates. */
    public function pattern(): string
    {
        return $this === self::MonthFirst ? 'M j, Y' : 'j M Y';
    }
}
