<?php

declare(strict_types=1);

namespace Linguator\Core\Search;

use Linguator\Core\Document\Node;

/** One word of the work and what it means. */
final readonly class Word
{
    /**
     * @param  list<string>  $also  Other forms under which it is met.
     * @param  string  $says  A sentence or two.
     * @param  list<string>  $see  Words that belong to it.
     */
    private function __construct(public string $word, public array $also, public string $says, public array $see)
    {
    }

    public static function read(Node $entry): self
    {
        return new self($entry->text('word'), $entry->texts('also'), $entry->text('says'), $entry->texts('see'));
    }
}
