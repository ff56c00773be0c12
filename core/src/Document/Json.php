<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * JSON in and out. Objects stay objects (also empty ones) and numbers keep their kind:
 * 3 stays an integer and 3.0 a float, so the same document always gives the same bytes.
 */
final class Json
{
    /** Deeper nesting than this is no document of ours. */
    public const MAX_DEPTH = 64;

    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /** @throws DocumentError if the text is not sound JSON, is nested too deeply or holds a number that is not finite. */
    public static function decode(string $text): mixed
    {
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        try {
            $value = json_decode($text, false, self::MAX_DEPTH, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw self::syntaxError($text, $error);
        }
        self::refuseInfinite($value, '');

        return $value;
    }

    /**
     * Text that this program has written itself: it has been looked at on its way in.
     *
     * @throws \JsonException if it is no JSON after all.
     */
    public static function kept(string $text): mixed
    {
        return json_decode($text, false, self::MAX_DEPTH, JSON_THROW_ON_ERROR);
    }

    /** Two-space-indented text with a closing newline. */
    public static function pretty(mixed $value): string
    {
        $text = json_encode($value, JSON_THROW_ON_ERROR | self::FLAGS | JSON_PRETTY_PRINT);

        return (preg_replace_callback('/^(?: {4})+/m', static fn (array $m): string => str_repeat('  ', intdiv(strlen($m[0]), 4)), $text) ?? $text)."\n";
    }

    public static function compact(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | self::FLAGS);
    }

    private static function syntaxError(string $text, \JsonException $error): DocumentError
    {
        if (trim($text) === '') {
            return new DocumentError('not_json', 'Found nothing; expected a JSON document.');
        }
        if ($error->getCode() === JSON_ERROR_DEPTH) {
            return new DocumentError('too_deep', 'The document is nested more than '.self::MAX_DEPTH.' levels deep.');
        }
        $line = JsonLines::firstFault($text);

        return new DocumentError(
            'not_json',
            sprintf('This is not sound JSON (%s near line %d); expected one JSON document.', lcfirst($error->getMessage()), $line),
            '',
            $line,
        );
    }

    private static function refuseInfinite(mixed $value, string $path): void
    {
        if (is_float($value) && ! is_finite($value)) {
            throw DocumentError::at($path, 'Found a number that is not finite; expected an ordinary number.', 'not_finite');
        }
        if (is_array($value) || $value instanceof \stdClass) {
            foreach ((array) $value as $key => $item) {
                if (is_float($item) || is_array($item) || $item instanceof \stdClass) {
                    self::refuseInfinite($item, $path === '' ? (string) $key : $path.'.'.$key);
                }
            }
        }
    }
}
