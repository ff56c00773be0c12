<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;

/** The history of a rig, oldest first. It only grows: taking a change back adds the reverse. */
final readonly class RigLog
{
    public const CHANGE = 'change';

    public const UNDO = 'undo';

    /** @param  list<\stdClass>  $entries As in the document's `log`. */
    public function __construct(public array $entries)
    {
    }

    /** The position of the latest change that still stands, or null. */
    public function lastStanding(): ?int
    {
        for ($k = count($this->entries) - 1; $k >= 0; $k--) {
            if (($this->entries[$k]->kind ?? null) !== self::UNDO && $this->isStanding($k)) {
                return $k;
            }
        }

        return null;
    }

    /** Whether the entry changed something and has not been taken back. */
    public function isStanding(int $position): bool
    {
        $entry = $this->entries[$position] ?? null;
        if ($entry === null || ! (($entry->before ?? null) instanceof \stdClass) || ! (($entry->after ?? null) instanceof \stdClass)) {
            return false;
        }
        foreach (array_slice($this->entries, $position + 1, null, true) as $k => $later) {
            if (($later->undoes ?? null) === $position && ! $this->isTakenBack($k)) {
                return false;
            }
        }

        return true;
    }

    /**
     * The change that takes an entry back.
     *
     * @throws DocumentError if it changed nothing, was taken back already, or what it changed has been changed again since.
     */
    public function takingBack(int $position, \stdClass $document): RigPatch
    {
        $entry = $this->entries[$position] ?? throw DocumentError::at('entry', "There is no entry $position; expected one of the ".count($this->entries).' in this history.', 'no_such_entry');
        $before = $entry->before ?? null;
        $after = $entry->after ?? null;
        if (! $before instanceof \stdClass || ! $after instanceof \stdClass || ! $this->isStanding($position)) {
            throw DocumentError::at('entry', 'This entry has nothing left to take back.', 'nothing_to_undo');
        }
        foreach (array_keys(get_object_vars($before) + get_object_vars($after)) as $place) {
            $place = (string) $place;
            $isAsLeft = property_exists($after, $place)
                ? RigPatch::has($document, $place) && RigPatch::same(RigPatch::get($document, $place), $after->{$place})
                : ! RigPatch::has($document, $place);
            if (! $isAsLeft) {
                throw DocumentError::at('entry', "\"$place\" has been changed again since; take that change back first.", 'changed_since');
            }
        }

        return RigPatch::takingBack($before, $after);
    }

    private function isTakenBack(int $position): bool
    {
        foreach (array_slice($this->entries, $position + 1, null, true) as $k => $later) {
            if (($later->undoes ?? null) === $position && ! $this->isTakenBack($k)) {
                return true;
            }
        }

        return false;
    }
}
