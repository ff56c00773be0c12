<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** Finds the line of a place in block-style YAML, for error messages; inside `{…}` on one line it names that line. */
final class YamlLines
{
    /** The line (from 1) of the deepest part of the path that can be found. */
    public static function of(string $text, string $path): int
    {
        $lines = explode("\n", $text);
        $at = self::firstContent($lines, 0) ?? 0;
        if ($path === '') {
            return $at + 1;
        }
        $indent = strspn($lines[$at], ' ');
        foreach (explode('.', $path) as $step) {
            $found = ctype_digit($step)
                ? self::item($lines, $at, $indent, (int) $step)
                : self::key($lines, $at, $indent, $step);
            if ($found === null) {
                break;
            }
            [$at, $indent] = $found;
        }

        return $at + 1;
    }

    /**
     * @param  list<string>  $lines
     * @return array{int, int}|null Line and the indent of what stands below.
     */
    private static function key(array $lines, int $from, int $indent, string $key): ?array
    {
        for ($number = $from; $number < count($lines); $number++) {
            $line = $lines[$number];
            if (trim($line) === '') {
                continue;
            }
            $own = strspn($line, ' -');
            if ($number > $from && strspn($line, ' ') < $indent) {
                return null;
            }
            if ($own === $indent && preg_match('/^["\']?'.preg_quote($key, '/').'["\']?\s*:/', substr($line, $own)) === 1) {
                $below = self::firstContent($lines, $number + 1);

                return [$number, $below === null ? $indent + 2 : strspn($lines[$below], ' ')];
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $lines
     * @return array{int, int}|null
     */
    private static function item(array $lines, int $from, int $indent, int $position): ?array
    {
        $count = -1;
        for ($number = $from; $number < count($lines); $number++) {
            $line = $lines[$number];
            if (trim($line) === '' || strspn($line, ' ') > $indent) {
                continue;
            }
            if (strspn($line, ' ') < $indent) {
                return null;
            }
            if (str_starts_with(substr($line, $indent), '-') && ++$count === $position) {
                return [$number, strspn($line, ' -')];
            }
        }

        return null;
    }

    /** @param  list<string>  $lines */
    private static function firstContent(array $lines, int $from): ?int
    {
        for ($number = $from; $number < count($lines); $number++) {
            if (preg_match('/^\s*(#|$)/', $lines[$number]) !== 1) {
                return $number;
            }
        }

        return null;
    }
}
