<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;

/**
 * One stretch of a list taken out and another put in its place: an item added, changed or removed.
 *
 * An entry of the history tells it by the place, what was removed, and how many items were added: those stand in the document
 * until a later entry removes them, and that entry holds them. So a history grows with what was done, not with the lists.
 */
final readonly class ListChange
{
    /**
     * @param  int|null  $at  Position of the first item concerned, from 0; null: after the last.
     * @param  int  $removed  How many items are taken out there.
     * @param  list<mixed>  $added
     */
    private function __construct(private ?int $at, private int $removed, private array $added)
    {
    }

    /** @param  list<mixed>  $items */
    public static function adding(array $items): self
    {
        return new self(null, 0, $items);
    }

    /** These items, and then those: of two changes that only add. */
    public function and(self $next): self
    {
        return $this->at === null && $next->at === null ? new self(null, 0, [...$this->added, ...$next->added]) : throw new \LogicException('Only what is added at the end goes together.');
    }

    /**
     * What an entry tells of a list, turned round.
     *
     * @param  \stdClass  $told  As `told` gives it.
     */
    public static function takingBack(\stdClass $told): self
    {
        return new self(is_int($told->at ?? null) ? max(0, $told->at) : 0, is_int($told->added ?? null) ? max(0, $told->added) : 0, is_array($told->removed ?? null) ? array_values($told->removed) : []);
    }

    /**
     * Changes the list.
     *
     * @param  list<mixed>  $list
     * @return \stdClass What an entry tells of it.
     *
     * @throws DocumentError if the list is too short for it.
     */
    public function apply(array &$list, string $place): \stdClass
    {
        $at = $this->at ?? count($list);
        if ($at + $this->removed > count($list)) {
            throw DocumentError::at($place, 'Found '.count($list).' entries; the history speaks of '.($at + $this->removed).'. It does not belong to this document.', 'broken_history');
        }
        if ($this->added === [] && $this->removed === 1 && $at + 1 === count($list)) {
            // The usual way back, without touching the rest of a long list.
            return self::told($at, [array_pop($list)], 0);
        }
        $removed = array_splice($list, $at, $this->removed, $this->added);

        return self::told($at, array_values($removed), count($this->added));
    }

    /**
     * What makes the second list of the first, told as an entry tells it: from the first item that differs to the last.
     *
     * @param  list<mixed>  $before
     * @param  list<mixed>  $after
     */
    public static function between(array $before, array $after): \stdClass
    {
        $text = static fn (mixed $item): string => Json::compact(KeyOrder::canonical($item));
        [$old, $new] = [array_map($text, $before), array_map($text, $after)];
        $shorter = min(count($old), count($new));
        for ($from = 0; $from < $shorter && $old[$from] === $new[$from];) {
            $from++;
        }
        for ($tail = 0; $tail < $shorter - $from && $old[count($old) - 1 - $tail] === $new[count($new) - 1 - $tail];) {
            $tail++;
        }

        return self::told($from, array_slice($before, $from, count($before) - $from - $tail), count($after) - $from - $tail);
    }

    /** @param  list<mixed>  $removed */
    private static function told(int $at, array $removed, int $added): \stdClass
    {
        return (object) (['at' => $at] + ($removed === [] ? [] : ['removed' => $removed]) + ($added === 0 ? [] : ['added' => $added]));
    }
}
