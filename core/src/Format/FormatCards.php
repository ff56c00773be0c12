<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\Schemas;

/** The shipped serial formats (`core/data/formats`). */
final class FormatCards
{
    /** @var array<string, FormatCard> */
    private static array $read = [];

    /** @return list<string> */
    public static function ids(): array
    {
        return array_map(static fn (string $file): string => basename($file, '.yaml'), glob(self::folder().'/*.yaml') ?: []);
    }

    public static function get(string $id): ?FormatCard
    {
        if (! isset(self::$read[$id]) && in_array($id, self::ids(), true)) {
            self::$read[$id] = FormatCard::of(DataFile::read("formats/$id.yaml"), new Schemas);
        }

        return self::$read[$id] ?? null;
    }

    /** The card as it stands in its file, to begin one of one's own from. */
    public static function text(string $id): string
    {
        return in_array($id, self::ids(), true) ? (string) file_get_contents(self::folder()."/$id.yaml") : '';
    }

    /** @return list<FormatCard> */
    public static function all(): array
    {
        return array_values(array_filter(array_map(self::get(...), self::ids())));
    }

    private static function folder(): string
    {
        return DataFile::folder().'/formats';
    }
}
