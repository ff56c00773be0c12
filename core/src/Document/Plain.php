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
        if (is_array($value)) {
            return self::each($value);
        }

        return match (true) {
            ! is_object($value) => $value,
            $value instanceof \BackedEnum => $value->value,
            $value instanceof \JsonSerializable => self::told($value->jsonSerialize()),
            $value instanceof \stdClass => (object) self::each(get_object_vars($value)),
            default => self::properties($value),
        };
    }

    /**
     * Most values are plain already: they are left where they stand.
     *
     * @param  array<mixed>  $values
     * @return array<mixed>
     */
    private static function each(array $values): array
    {
        foreach ($values as $key => $value) {
            if (is_object($value) || is_array($value)) {
                $values[$key] = self::of($value);
            }
        }

        return $values;
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
            $plain[self::$keys[$name] ?? self::key((string) $name)] = is_object($property) || is_array($property) ? self::of($property) : $property;
        }

        return $plain;
    }

    private static function key(string $property): string
    {
        return self::$keys[$property] ??= strtolower((string) preg_replace('/(?<!^)[A-Z]|(?<=[a-z]{2})\d+/', '_$0', $property));
    }
}
