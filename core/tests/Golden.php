<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Holds an answer against a worked case; says where they differ, or null. The rules stand in tests/fixtures/vectors/README.md. */
final class Golden
{
    private const TOLD_APART = ['limited' => [], 'settings_to_change' => ['box', 'setting'], 'misses' => ['from', 'to', 'code'], 'fixes' => ['at']];

    /** @return \Generator<string, array{string, \stdClass}> Verb and case, by a readable name. */
    public static function cases(string ...$verbs): \Generator
    {
        foreach ($verbs as $verb) {
            $file = json_decode((string) file_get_contents(dirname(__DIR__, 2)."/tests/fixtures/vectors/$verb.json"));
            foreach ($file->cases as $k => $case) {
                yield "$verb $k: $case->name" => [$verb, $case];
            }
        }
    }

    /** @param  array<string, float>  $tolerance */
    public static function difference(mixed $expected, mixed $found, array $tolerance, string $path = ''): ?string
    {
        $key = substr((string) strrchr('.'.$path, '.'), 1);
        if ($expected instanceof \stdClass && get_object_vars($expected) === []) {
            return is_array(self::plain($found)) ? null : "$path: expected an object";
        }
        [$expected, $found] = [self::plain($expected), self::plain($found)];

        return match (true) {
            $key === 'findings' => self::findings($expected, $found, $path),
            isset(self::TOLD_APART[$key]) => self::anyOrder($expected, $found, $tolerance, $path, self::TOLD_APART[$key]),
            is_array($expected) && is_array($found) => self::inOrder($expected, $found, $tolerance, $path),
            (is_int($expected) || is_float($expected)) && (is_int($found) || is_float($found)) => self::number($expected, $found, self::allowed($path, $tolerance), $path),
            default => $expected === $found ? null : "$path: expected ".json_encode($expected).', found '.json_encode($found),
        };
    }

    private static function inOrder(array $expected, array $found, array $tolerance, string $path): ?string
    {
        if (array_is_list($expected) && count($expected) !== count($found)) {
            return "$path: expected ".count($expected).' entries, found '.count($found);
        }
        foreach ($expected as $key => $value) {
            $broken = match ((string) $key) {
                'findings_absent' => array_intersect($value, array_column($found['findings'], 'code')) !== [] ? "$path.findings: holds what must be absent" : null,
                'findings_not_empty' => $found['findings'] === [] ? "$path.findings: empty" : null,
                'absent' => array_intersect($value, array_keys($found)) !== [] ? "$path: holds what must be absent" : null,
                default => false,
            };
            if ($broken === null) {
                continue;
            }
            if ($broken !== false) {
                return $broken;
            }
            if (! array_key_exists($key, $found)) {
                return "$path.$key: missing";
            }
            $difference = self::difference($value, $found[$key], $tolerance, ltrim("$path.$key", '.'));
            if ($difference !== null) {
                return $difference;
            }
        }

        return null;
    }

    private static function anyOrder(array $expected, array $found, array $tolerance, string $path, array $keys): ?string
    {
        if (count($expected) !== count($found)) {
            return "$path: expected ".json_encode($expected).', found '.json_encode($found);
        }
        $name = static fn (mixed $entry): string => $keys === [] ? (string) $entry : implode('/', array_map(static fn (string $key): string => (string) self::plain($entry)[$key], $keys));
        $named = [];
        foreach ($found as $entry) {
            $named[$name($entry)] = $entry;
        }
        foreach ($expected as $entry) {
            if (! isset($named[$name($entry)])) {
                return "$path: {$name($entry)} is missing in ".json_encode($found);
            }
            $difference = self::difference($entry, $named[$name($entry)], $tolerance, $path.'.'.str_replace('.', '', $name($entry)));
            if ($difference !== null) {
                return $difference;
            }
        }

        return null;
    }

    private static function findings(array $expected, array $found, string $path): ?string
    {
        $there = array_merge(...array_map(static fn (mixed $finding): array => [$finding['code'], "{$finding['code']}:{$finding['severity']}"], array_map(self::plain(...), $found)), ...[[]]);
        $missing = array_diff($expected, $there);

        return $missing === [] ? null : "$path: ".implode(', ', $missing).' missing among '.implode(', ', $there);
    }

    /** The tolerance of the key, or of a key above it, or of all others. */
    private static function allowed(string $path, array $tolerance): float|int|string
    {
        foreach (array_reverse(explode('.', $path)) as $key) {
            if (isset($tolerance[$key])) {
                return $tolerance[$key];
            }
        }

        return $tolerance['*'] ?? 0.0;
    }

    private static function number(float $expected, float $found, mixed $tolerance, string $path): ?string
    {
        $allowed = is_string($tolerance) ? (float) $tolerance / 100 * abs($expected) : max((float) $tolerance, 1e-9 * abs($expected));

        return abs($expected - $found) <= $allowed ? null : "$path: expected $expected, found $found";
    }

    private static function plain(mixed $value): mixed
    {
        return $value instanceof \stdClass ? get_object_vars($value) : $value;
    }
}
