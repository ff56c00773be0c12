<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

/** What a handset's sub-trim does to the output. */
enum SubtrimModel: string
{
    /** It shifts everything: y(a) = C + U·p·a + k·t. */
    case After = 'after';

    /** It moves only the centre; the ends stay. */
    case Pivot = 'pivot';

    /** It is added to the stick and then scaled, so changing the ends moves the centre: y(a) = C + G·(a + t/100). */
    case Before = 'before';

    public function label(): string
    {
        return match ($this) {
            self::After => 'shifts everything',
            self::Pivot => 'moves only the centre',
            self::Before => 'is added to the stick and scaled with the ends',
        };
    }
}
