<?php

declare(strict_types=1);

namespace Linguator\Core\Search;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\Node;

/** Where one can go and what one can do (core/data/places.yaml). */
final class Places
{
    /** @return list<array{path: string, title: string, line: string, words: string}> */
    public static function all(): array
    {
        $list = DataFile::read('places.yaml');

        return array_map(static function (mixed $entry): array {
            $place = new Node($entry instanceof \stdClass ? $entry : new \stdClass);

            return ['path' => $place->text('path'), 'title' => $place->text('title'), 'line' => $place->text('line'), 'words' => $place->text('words')];
        }, array_values(is_array($list) ? $list : []));
    }
}
