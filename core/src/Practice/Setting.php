<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\Node;

/** Settings that stand together and are put back to what the record says, by core/data/diagnosis/settings.yaml. */
final readonly class Setting
{
    /**
     * @param  float  $minutes  With its check.
     * @param  list<string>  $mends  Causes that are gone once it is done.
     */
    private function __construct(public string $id, public string $says, public float $minutes, public array $mends)
    {
    }

    /** @return array<string, self> By id. */
    public static function all(): array
    {
        $all = [];
        foreach ((array) DataFile::read('diagnosis/settings.yaml') as $read) {
            assert($read instanceof \stdClass);
            $entry = new Node($read);
            $all[$entry->text('id')] = new self($entry->text('id'), $entry->text('says'), $entry->number('minutes'), $entry->texts('mends'));
        }

        return $all;
    }
}
