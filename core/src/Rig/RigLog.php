<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;

/** The history of a rig, oldest first. It only grows: taking a change back adds the reverse. */
final readonly class RigLog
{
    /** @var array<int, true> Positions of entries that a later one takes back. */
    private array $takenBack;

    /** @param  array<int, \stdClass>  $entries  As in the document's `log`, by position; of a long history the last of them are enough for what is asked of these. */
    public function __construct(public array $entries)
    {
        $takenBack = [];
        foreach (array_reverse($entries, true) as $position => $entry) {
            // What undoes another stands behind it, so whether it still counts is known by now.
            if (is_int($entry->undoes ?? null) && ! isset($takenBack[$position])) {
                $takenBack[$entry->undoes] = true;
            }
        }
        $this->takenBack = $takenBack;
    }

    /** Without what came after a position. */
    public function until(int $position): self
    {
        return new self(array_filter($this->entries, static fn (int $at): bool => $at <= $position, ARRAY_FILTER_USE_KEY));
    }

    /** The position of the last entry; −1: there is none. */
    public function last(): int
    {
        return array_key_last($this->entries) ?? -1;
    }

    /** The position of the latest change that still stands, or null. */
    public function lastStanding(): ?int
    {
        foreach (array_reverse($this->entries, true) as $position => $entry) {
            if (($entry->kind ?? null) !== EntryKind::Undo->value && $this->isStanding($position)) {
                return $position;
            }
        }

        return null;
    }

    /** Whether the entry changed something and has not been taken back. */
    public function isStanding(int $position): bool
    {
        $entry = $this->entries[$position] ?? null;

        return $entry !== null && ! isset($this->takenBack[$position]) && EntryChange::read($entry) !== null;
    }

    /**
     * The change that takes an entry back.
     *
     * @throws DocumentError if it changed nothing, was taken back already, or what it changed has been changed again since.
     */
    public function takingBack(int $position, \stdClass $document): RigPatch
    {
        $entry = $this->entries[$position] ?? throw DocumentError::at('entry', "There is no entry $position; expected one of the ".($this->last() + 1).' in this history.', 'no_such_entry');
        $change = EntryChange::read($entry);
        if ($change === null || ! $this->isStanding($position)) {
            throw DocumentError::at('entry', 'This entry has nothing left to take back.', 'nothing_to_undo');
        }
        foreach ($change->places() as $place) {
            if (! $this->isAsLeft($change, $place, $position, $document)) {
                throw DocumentError::at('entry', "\"$place\" has been changed again since; take that change back first.", 'changed_since');
            }
        }

        return $change->back();
    }

    private function isAsLeft(EntryChange $change, string $place, int $position, \stdClass $document): bool
    {
        if (! $change->tellsOfList($place)) {
            return $change->leaves($place, $document);
        }
        $then = (new RigHistory($document, $this))->at($position);

        return RigPatch::has($then, $place) === RigPatch::has($document, $place) && RigPatch::same(RigPatch::get($then, $place), RigPatch::get($document, $place));
    }
}
