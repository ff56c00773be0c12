<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** A moment as a day a person reads: "3 Nov 2026". */
final class Day
{
    /** @param  string|null  $at As documents have it, `2026-11-03T10:12:00Z`. */
    public static function of(?string $at): string
    {
        $day = \DateTimeImmutable::createFromFormat('Y-m-d', substr((string) $at, 0, 10));

        return $day === false ? 'a day not recorded' : $day->format('j M Y');
    }
}
