<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * What a screen or a script gets of an object: its public properties in snake_case, enums by their values, lists item by item.
 *
 * One rule instead of a `toArray` in every class. An object that is told otherwise (a finding leaves out what it does not know) says so
 * by `JsonSerializable`; a map with names of the user's own is an `\stdClass`, so that an empty one stays an object.
 */
final class Plain
{
    /** @var array<string, string> Keys by property, worked out once. */
    private static array $keys = [];

    public static function of(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::of(...), $value),
            ! is_object($value) => $value,
            $value instanceof \BackedEnum => $value->value,
            $value instanceof \JsonSerializable => self::told($value->jsonSerialize()),
            $value instanceof \stdClass => (object) array_map(self::of(...), get_object_vars($value)),
            default => self::properties($value),
        };
    }

    /** @return array<string, mixed> The same of an object that becomes an object. */
    public static function object(object $value): array
    {
        $plain = self::of($value);
        $keyed = [];
        foreach ((array) $plain as $key => $item) {
            $keyed[(string) $key] = $item;
        }

        return $keyed;
    }

    /** What an object says of itself: its keys are those of its class, not of the user. */
    private static function told(mixed $value): mixed
    {
        return self::of($value instanceof \stdClass ? get_object_vars($value) : $value);
    }

    /** @return array<string, mixed> */
    private static function properties(object $value): array
    {
        $plain = [];
        foreach (get_object_vars($value) as $name => $property) {
            $plain[self::key((string) $name)] = self::of($property);
        }

        return $plain;
    }

    private static function key(string $property): string
    {
        return self::$keys[$property] ??= strtolower((string) preg_replace('/(?<!^)[A-Z]|(?<=[a-z]{2})\d+/', '_$0', $property));
    }
}
