<?php

declare(strict_types=1);

namespace Linguator\Core\Search;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\Node;

/** The words of the work with what they mean (core/data/glossary.yaml): one list, whether asked as a page, where a word stands, or by the search. */
final class Glossary
{
    /** @return list<Word> In the sequence of the alphabet. */
    public static function words(): array
    {
        $list = DataFile::read('glossary.yaml');
        $words = array_map(static fn (mixed $entry): Word => Word::read(new Node($entry instanceof \stdClass ? $entry : new \stdClass)), array_values(is_array($list) ? $list : []));
        usort($words, static fn (Word $a, Word $b): int => strnatcasecmp($a->word, $b->word));

        return $words;
    }
}
