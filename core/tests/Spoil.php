<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Makes something wrong with what was right: a document, a text, bytes. Random by `mt_srand`. */
final class Spoil
{
    private const ODD_KEYS = ['', 'x', 'id', '0', 'links', 'made_with', '__proto__'];

    /** The document with one thing in it changed, somewhere. */
    public static function value(mixed $value): mixed
    {
        if (is_array($value) && $value !== [] && mt_rand(0, 9) > 1) {
            $k = mt_rand(0, count($value) - 1);
            $value = array_values($value);
            if (mt_rand(0, 9) === 0) {
                return [...$value, $value[$k]];
            }
            $value[$k] = self::value($value[$k]);

            return $value;
        }
        $keys = $value instanceof \stdClass ? array_keys(get_object_vars($value)) : [];
        if ($value instanceof \stdClass && $keys !== [] && mt_rand(0, 9) > 0) {
            $value = clone $value;
            $key = (string) $keys[mt_rand(0, count($keys) - 1)];
            match (mt_rand(0, 7)) {
                0 => $value->{mt_rand(0, 3) === 0 ? self::ODD_KEYS[mt_rand(1, 6)] : 'key'.mt_rand(0, 9)} = self::odd(),
                1 => self::drop($value, $key),
                default => $value->{$key} = self::value($value->{$key}),
            };

            return $value;
        }

        return is_string($value) && mt_rand(0, 3) === 0 ? $value.'x' : self::odd();
    }

    /** Several things changed. */
    public static function much(mixed $value): mixed
    {
        for ($k = mt_rand(1, 4); $k > 0; $k--) {
            $value = self::value($value);
        }

        return $value;
    }

    /** A text or bytes with something cut off, doubled, put in or turned. */
    public static function text(string $text): string
    {
        $length = strlen($text);
        $at = $length === 0 ? 0 : mt_rand(0, $length - 1);

        return match (mt_rand(0, 9)) {
            0 => substr($text, 0, $at),
            1 => substr($text, $at),
            2 => substr_replace($text, chr(mt_rand(0, 255)), $at, 1),
            3 => substr_replace($text, substr($text, $at, mt_rand(1, 40)), $at, 0),
            4 => substr_replace($text, '', $at, mt_rand(1, 40)),
            5 => substr_replace($text, ['1e309', '-1', '99999999999999999999', "\0", "\u{202E}", str_repeat('[', 70), 'NaN', '&a *a', '"', "\r\n", '-1e30', str_repeat('9', 40)][mt_rand(0, 11)], $at, 0),
            6 => preg_replace_callback('/\d+/', static fn (array $digits): string => mt_rand(0, 9) === 0 ? (string) mt_rand(-9, 99_999) : $digits[0], $text, 60) ?? $text,
            7 => str_repeat($text, $length < 50_000 ? 2 : 1),
            8 => $text.mt_rand(0, 1),
            default => self::text(self::text($text)),
        };
    }

    public static function odd(): mixed
    {
        $odd = [null, true, false, 0, -1, 3, 3.0, 1e9, 1e308, -1e308, PHP_INT_MAX, 0.5, 1e-300, '', 'x', 'AETR', str_repeat('é', 70), "2026-01-01T10:00Z\n", "\0", "\u{202E}", [], [1], [[1, 2, 3]], new \stdClass, (object) ['x' => 1], (object) ['id' => 'a']];

        return $odd[mt_rand(0, count($odd) - 1)];
    }

    private static function drop(\stdClass $value, string $key): null
    {
        unset($value->{$key});

        return null;
    }
}
