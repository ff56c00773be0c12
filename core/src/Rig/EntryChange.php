<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;

/** What one entry of a history changed: values by place, before and after; of lists only the stretch that differs. */
final readonly class EntryChange
{
    /** @param  array<string, \stdClass>  $lists  By place, as `ListChange` tells them. */
    private function __construct(private \stdClass $before, private \stdClass $after, private array $lists)
    {
    }

    /**
     * @param  \stdClass  $before  Whole values by place; a place that was empty is missing.
     * @param  \stdClass  $after  The same afterwards.
     * @param  array<string, \stdClass>  $lists  What is told of lists already.
     */
    public static function of(\stdClass $before, \stdClass $after, array $lists = []): self
    {
        [$was, $is] = [get_object_vars($before), get_object_vars($after)];
        foreach (array_keys($was) as $place) {
            $place = (string) $place;
            [$old, $new] = [$was[$place], $is[$place] ?? null];
            if (is_array($old) && is_array($new) && array_is_list($old) && array_is_list($new) && ! self::overlaps($place, array_keys($was + $is))) {
                $lists[$place] = ListChange::between($old, $new);
                unset($was[$place], $is[$place]);
            }
        }

        return new self((object) $was, (object) $is, $lists);
    }

    /** Null: the entry changed nothing. */
    public static function read(\stdClass $entry): ?self
    {
        if (! ($entry->before ?? null) instanceof \stdClass || ! ($entry->after ?? null) instanceof \stdClass) {
            return null;
        }
        $lists = [];
        foreach (get_object_vars(($entry->lists ?? null) instanceof \stdClass ? $entry->lists : new \stdClass) as $place => $told) {
            if ($told instanceof \stdClass) {
                $lists[(string) $place] = $told;
            }
        }

        return new self($entry->before, $entry->after, $lists);
    }

    /** As an entry of the log tells it. */
    public function told(): \stdClass
    {
        return (object) (['before' => $this->before, 'after' => $this->after] + ($this->lists === [] ? [] : ['lists' => (object) $this->lists]));
    }

    /** @return list<string> */
    public function places(): array
    {
        return array_map(strval(...), array_keys(get_object_vars($this->before) + get_object_vars($this->after) + $this->lists));
    }

    public function tellsOfList(string $place): bool
    {
        return isset($this->lists[$place]);
    }

    /** Whether a place of the document is as this change has left it. Not for lists told by what differs. */
    public function leaves(string $place, \stdClass $document): bool
    {
        return property_exists($this->after, $place)
            ? RigPatch::has($document, $place) && RigPatch::same(RigPatch::get($document, $place), $this->after->{$place})
            : ! RigPatch::has($document, $place);
    }

    /**
     * The change that takes it back.
     *
     * @throws DocumentError if a place cannot be changed.
     */
    public function back(): RigPatch
    {
        return RigPatch::takingBack($this->before, $this->after, array_map(ListChange::takingBack(...), $this->lists));
    }

    /** The same entry with its lists told by what differs, where the document right after it shows that the entry is right about them. */
    public function lean(\stdClass $document): self
    {
        $lean = self::of($this->before, $this->after, $this->lists);
        foreach (array_diff(array_keys($lean->lists), array_keys($this->lists)) as $place) {
            if (! $this->leaves($place, $document)) {
                return $this;
            }
        }

        return $lean;
    }

    /** @param  list<int|string>  $places  Whether one of them stands inside this one, or this one inside it. */
    private static function overlaps(string $place, array $places): bool
    {
        foreach ($places as $other) {
            if ($other !== $place && (str_starts_with((string) $other, "$place.") || str_starts_with($place, "$other."))) {
                return true;
            }
        }

        return false;
    }
}
