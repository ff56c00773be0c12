<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** A moment as a day a person reads: "3 Nov 2026". Documents are in UTC; the day is that of the clock on the wall, and written as there, where that is told. */
final class Day
{
    private static ?\DateTimeZone $zone = null;

    private static DayForm $form = DayForm::DayFirst;

    private static bool $isMarked = false;

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

    /**
     * What the work makes, with marks in place of days: kept, and read by another clock than that of whoever had it made.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public static function marked(\Closure $work): mixed
    {
        self::$isMarked = true;
        try {
            return $work();
        } finally {
            self::$isMarked = false;
        }
    }

    /** A text that was made with marks, with days in their place. */
    public static function told(string $marked): string
    {
        return (string) preg_replace_callback('/\x{E000}([^\x{E001}]*)\x{E001}/u', static fn (array $mark): string => self::of($mark[1]), $marked);
    }

    private static function zone(): \DateTimeZone
    {
        return self::$zone ?? new \DateTimeZone('UTC');
    }

    /** @param  string|null  $at  As documents have it, `2026-11-03T10:12:00Z`. */
    public static function of(?string $at): string
    {
        $second = substr((string) $at, 0, 19);
        if (self::$isMarked) {
            return "\u{E000}$second\u{E001}";
        }
        $moment = \DateTimeImmutable::createFromFormat('Y-m-d\TH:i:s', $second, new \DateTimeZone('UTC'));

        return $moment === false ? 'a day not recorded' : $moment->setTimezone(self::zone())->format(self::$form->pattern());
    }
}
