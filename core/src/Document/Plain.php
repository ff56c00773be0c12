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
    /** @var array<class-string, PlainShape> */
    private static array $shapes = [];

    public static function of(mixed $value): mixed
    {
        if (is_array($value)) {
            return self::each($value);
        }
        if (! is_object($value)) {
            return $value;
        }
        $shape = self::$shapes[$value::class] ?? null;
        if ($shape !== null) {
            return self::properties($value, $shape);
        }

        return match (true) {
            $value instanceof \BackedEnum => $value->value,
            $value instanceof \JsonSerializable => self::told($value->jsonSerialize()),
            $value instanceof \stdClass => (object) self::each(get_object_vars($value)),
            default => self::properties($value, self::$shapes[$value::class] = PlainShape::of($value)),
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

    /**
     * Curves, logs and readings are lists of hundreds of small objects: what a class looks like is worked out once.
     *
     * @return array<string, mixed>
     */
    private static function properties(object $value, PlainShape $shape): array
    {
        $plain = array_combine($shape->keys, get_object_vars($value));
        foreach ($shape->deep as $key) {
            $plain[$key] = self::of($plain[$key]);
        }

        return $plain;
    }
}
