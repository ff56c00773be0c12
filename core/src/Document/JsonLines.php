<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** Finds the line of a place in JSON text, for error messages. */
final class JsonLines
{
    /** The line (from 1) on which the text stops being JSON, found by its tokens; the last line if they are all sound. */
    public static function firstFault(string $text): int
    {
        $at = 0;
        $open = [];
        while (preg_match('/\G\s*("(?:[^"\\\\\x00-\x1F]|\\\\.)*"|-?\d+(?:\.\d+)?(?:[eE][+-]?\d+)?|true|false|null|[\[\]{}:,])/A', $text, $match, 0, $at) === 1) {
            $token = $match[1];
            if ($token === '[' || $token === '{') {
                $open[] = $token === '[' ? ']' : '}';
            } elseif (($token === ']' || $token === '}') && array_pop($open) !== $token) {
                break;
            }
            $at += strlen($match[0]);
        }

        return self::lineAt($text, $at + strspn($text, " \t\r\n", $at));
    }

    /** The line (from 1) of the deepest part of the path that can be found. */
    public static function of(string $text, string $path): int
    {
        $wanted = $path === '' ? [] : explode('.', $path);
        $offset = 0;
        foreach ($wanted as $step) {
            $found = self::child($text, $offset, $step);
            if ($found === null) {
                break;
            }
            $offset = $found;
        }

        return self::lineAt($text, $offset + strspn($text, " \t\r\n", $offset));
    }

    /** Offset of the value under a key or position of the container that starts at the offset. */
    private static function child(string $text, int $offset, string $step): ?int
    {
        $at = $offset + strspn($text, " \t\r\n", $offset);
        $kind = $text[$at] ?? '';
        if ($kind !== '{' && $kind !== '[') {
            return null;
        }
        $at++;
        $depth = 0;
        $index = 0;
        $start = $at;
        $key = null;
        $length = strlen($text);
        while ($at < $length) {
            $character = $text[$at];
            if ($character === '"') {
                preg_match('/\G"(?:[^"\\\\]|\\\\.)*"/As', $text, $match, 0, $at);
                $string = $match[0] ?? '"';
                if ($depth === 0 && $kind === '{' && $key === null) {
                    $key = json_decode($string);
                }
                $at += strlen($string);

                continue;
            }
            if ($depth === 0 && ($character === ':' && $kind === '{')) {
                if ($key === $step) {
                    return $at + 1;
                }
            } elseif ($depth === 0 && $kind === '[' && (string) $index === $step && ! ctype_space($character)) {
                return $start;
            } elseif ($depth === 0 && $character === ',') {
                $index++;
                $start = $at + 1;
                $key = null;
            } elseif ($character === '{' || $character === '[') {
                $depth++;
            } elseif ($character === '}' || $character === ']') {
                if (--$depth < 0) {
                    return null;
                }
            }
            $at++;
        }

        return null;
    }

    private static function lineAt(string $text, int $offset): int
    {
        return 1 + substr_count($text, "\n", 0, min($offset, strlen($text)));
    }
}
