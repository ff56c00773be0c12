<?php

declare(strict_types=1);

namespace App\Actions;

/** The present moment as documents have it: `2026-11-03T10:12:00Z`. */
final class Moment
{
    private const FORMAT = 'Y-m-d\TH:i:s\Z';

    public static function now(): string
    {
        return now()->format(self::FORMAT);
    }

    public static function of(\DateTimeInterface $moment): string
    {
        return $moment->format(self::FORMAT);
    }
}
