<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * Brings the keys of a document into one order, so that the same document always prints the same:
 * keys named in the schemas stand as they stand there, all others follow by the alphabet.
 */
final class KeyOrder
{
    /** @var array<string, int>|null */
    private static ?array $rank = null;

    public static function canonical(mixed $value): mixed
    {
        if (is_array($value)) {
            return array_map(self::canonical(...), $value);
        }
        if (! $value instanceof \stdClass) {
            return $value;
        }
        $keys = array_map(strval(...), array_keys(get_object_vars($value)));
        usort($keys, self::compare(...));
        $sorted = new \stdClass;
        foreach ($keys as $key) {
            $sorted->{$key} = self::canonical($value->{$key});
        }

        return $sorted;
    }

    private static function compare(string $a, string $b): int
    {
        $rank = self::$rank ??= self::ranks();

        return [$rank[$a] ?? PHP_INT_MAX, 0] <=> [$rank[$b] ?? PHP_INT_MAX, 0] ?: strcmp($a, $b);
    }

    /** @return array<string, int> */
    private static function ranks(): array
    {
        $names = array_fill_keys(['id', 'kind', 'name'], true);
        foreach (['rig.schema.json', 'gear-card.schema.json'] as $file) {
            self::collect(Json::decode((string) file_get_contents(Schemas::folder().'/'.$file)), $names);
        }

        return array_flip(array_keys($names));
    }

    /** @param  array<string, true>  $names */
    private static function collect(mixed $schema, array &$names): void
    {
        if ($schema instanceof \stdClass && ($schema->properties ?? null) instanceof \stdClass) {
            foreach (get_object_vars($schema->properties) as $name => $ignored) {
                $names[(string) $name] ??= true;
            }
        }
        if ($schema instanceof \stdClass || is_array($schema)) {
            foreach ((array) $schema as $part) {
                self::collect($part, $names);
            }
        }
    }
}
