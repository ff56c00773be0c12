<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Holds a simulation against a worked case: lists told apart by ids, `us` and `raw` may go on beyond those given. */
final class SimulationCase
{
    private const KEYS = ['couplings' => ['from', 'to'], 'craft' => ['function'], 'lights' => ['box'], 'windows' => ['name'], 'outcome' => ['hop']];

    /** @param  array<string, float>  $tolerance  By key, by box or by `craft`. */
    public static function difference(mixed $expected, mixed $found, array $tolerance, string $path = '', float $allowed = 1e-9): ?string
    {
        [$expected, $found] = [self::plain($expected), self::plain($found)];
        if (! is_array($expected)) {
            return is_numeric($expected) && is_numeric($found) && ! is_string($expected)
                ? (abs($expected - $found) <= $allowed ? null : "$path: expected $expected, found $found")
                : ($expected === $found ? null : "$path: expected ".json_encode($expected).', found '.json_encode($found));
        }
        if (! is_array($found)) {
            return "$path: expected ".json_encode($expected).', found '.json_encode($found);
        }
        foreach ($expected as $key => $value) {
            $name = (string) $key;
            $within = $tolerance[$name] ?? $tolerance[$expected['to'] ?? ''] ?? $allowed;
            $difference = isset(self::KEYS[$name]) && is_array($value) && is_array($value)
                ? self::among($value, $found[$name] ?? [], self::KEYS[$name], $tolerance, "$path.$name", $tolerance[$name] ?? $allowed)
                : (array_key_exists($key, $found) ? self::difference($value, $found[$key], $tolerance, "$path.$name", in_array($name, ['raw', 'period_ms', 'pct'], true) ? ($tolerance[$name] ?? $allowed) : $within) : "$path.$name: missing");
            if ($difference !== null) {
                return $difference;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $keys
     * @param  array<string, float>  $tolerance
     */
    private static function among(mixed $expected, mixed $found, array $keys, array $tolerance, string $path, float $allowed): ?string
    {
        foreach (self::plain($expected) as $entry) {
            $entry = self::plain($entry);
            $same = array_filter(array_map(self::plain(...), self::plain($found)), static fn (array $one): bool => array_intersect_key($one, array_flip($keys)) == array_intersect_key($entry, array_flip($keys)));
            $name = implode('→', array_intersect_key($entry, array_flip($keys)));
            $difference = count($same) === 1 ? self::difference($entry, array_values($same)[0], $tolerance, "$path.$name", $tolerance[$entry['to'] ?? ''] ?? $allowed) : "$path.$name: found ".count($same).' of it';
            if ($difference !== null) {
                return $difference;
            }
        }

        return null;
    }

    private static function plain(mixed $value): mixed
    {
        return $value instanceof \stdClass ? get_object_vars($value) : $value;
    }
}
