<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** A moment as a day a person reads: "3 Nov 2026". Documents are in UTC; the day is that of the clock on the wall, and written as there, where that is told. */
final class Day
{
    private static ?\DateTimeZone $zone = null;

    private static DayForm $form = DayForm::DayFirst;

    /** The clock that days are told by from now on, and how they are written; null or one that is not known: UTC. */
    public static function by(?string $zone, DayForm $form = DayForm::DayFirst): void
    {
        self::$form = $form;
        try {
            self::$zone = $zone === null || $zone === '' ? null : new \DateTimeZone($zone);
        } catch (\Exception) {
            self::$zone = null;
        }
    }

    /**
     * The moment, as documents have it, at which a day of that clock begins.
     *
     * @param  string  $day  `2026-11-03`
     */
    public static function begins(string $day, int $daysLater = 0): string
    {
        return (new \DateTimeImmutable("$day 00:00:00", self::zone()))->modify("+$daysLater days")->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z');
    }

    private static function zone(): \DateTimeZone
    {
        return self::$zone ?? new \DateTimeZone('UTC');
    }

    /** @param  string|null  $at  As documents have it, `2026-11-03T10:12:00Z`. */
    public static function of(?string $at): string
    {
        $moment = \DateTimeImmutable::createFromFormat('Y-m-d\TH:i:s', substr((string) $at, 0, 19), new \DateTimeZone('UTC'));

        return $moment === false ? 'a day not recorded' : $moment->setTimezone(self::zone())->format(self::$form->pattern());
    }
}
