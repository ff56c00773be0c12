<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** A user's value as it may be repeated in a message: short, on one line, printable. */
final class Excerpt
{
    private const MAX_CHARACTERS = 60;

    public static function of(mixed $value): string
    {
        return match (true) {
            is_string($value) => '"'.self::text($value).'"',
            is_array($value) => 'a list of '.count($value),
            $value instanceof \stdClass => 'an object',
            is_float($value) && ! is_finite($value) => 'a number that is not finite',
            $value === null => 'null',
            default => self::text((string) json_encode($value, JSON_PRESERVE_ZERO_FRACTION)),
        };
    }

    public static function text(string $text): string
    {
        $clean = preg_replace('/[\p{C}]+/u', ' ', mb_scrub($text, 'UTF-8')) ?? '';

        return mb_strlen($clean) > self::MAX_CHARACTERS
            ? mb_substr($clean, 0, self::MAX_CHARACTERS - 1).'…'
            : $clean;
    }
}
