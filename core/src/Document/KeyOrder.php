<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * Brings the keys of a document into one order, so that the same document always prints the same:
 * keys named in the schemas stand as they stand there, all others follow by the alphabet.
 */
final class KeyOrder
{
    private const SCHEMAS = ['rig.schema.json', 'gear-card.schema.json'];

    /** So many sets of keys are remembered; documents of ours have some dozens. */
    private const MOST_REMEMBERED = 2000;

    /** @var array<string, int>|null */
    private static ?array $rank = null;

    /** @var array<string, list<string>|null> Keys in order, by the keys as they came; null: they were in order. */
    private static array $remembered = [];

    public static function canonical(mixed $value): mixed
    {
        if (is_array($value)) {
            foreach ($value as $key => $item) {
                if (is_array($item) || $item instanceof \stdClass) {
                    $value[$key] = self::canonical($item);
                }
            }

            return $value;
        }
        if (! $value instanceof \stdClass) {
            return $value;
        }
        $inner = get_object_vars($value);
        foreach ($inner as $key => $item) {
            if (is_array($item) || $item instanceof \stdClass) {
                $inner[$key] = self::canonical($item);
            }
        }
        $keys = self::order($inner);
        if ($keys === null) {
            return (object) $inner;
        }
        $sorted = new \stdClass;
        foreach ($keys as $key) {
            $sorted->{$key} = $inner[$key];
        }

        return $sorted;
    }

    /** What the order is made of, as code that needs no schema read: written by scripts/compile-schemas.php. */
    public static function php(): string
    {
        return "<?php\n\n// Made by scripts/compile-schemas.php; not to be edited.\nreturn ".var_export(['mark' => self::mark(), 'ranks' => self::read()], true).";\n";
    }

    /**
     * @param  array<int|string, mixed>  $values
     * @return list<string>|null Null: they are in order.
     */
    private static function order(array $values): ?array
    {
        if (count($values) < 2) {
            return null;
        }
        $came = implode("\0", array_keys($values));
        if (! array_key_exists($came, self::$remembered)) {
            $keys = array_map(strval(...), array_keys($values));
            $sorted = $keys;
            usort($sorted, self::compare(...));
            if (count(self::$remembered) >= self::MOST_REMEMBERED) {
                self::$remembered = [];
            }
            self::$remembered[$came] = $sorted === $keys ? null : $sorted;
        }

        return self::$remembered[$came];
    }

    private static function compare(string $a, string $b): int
    {
        $rank = self::$rank ??= self::ranks();

        return [$rank[$a] ?? PHP_INT_MAX, 0] <=> [$rank[$b] ?? PHP_INT_MAX, 0] ?: strcmp($a, $b);
    }

    /** @return array<string, int> */
    private static function ranks(): array
    {
        $file = Schemas::compiledFolder().'/key-order.php';
        /** @var array{mark: string, ranks: array<string, int>}|null $compiled */
        $compiled = is_file($file) ? require $file : null;

        return $compiled !== null && $compiled['mark'] === self::mark() ? $compiled['ranks'] : self::read();
    }

    private static function mark(): string
    {
        return implode(' ', array_map(static fn (string $file): string => SchemaCompiler::mark(Schemas::folder(), $file), self::SCHEMAS));
    }

    /** @return array<string, int> */
    private static function read(): array
    {
        $names = array_fill_keys(['id', 'kind', 'name'], true);
        foreach (self::SCHEMAS as $file) {
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
