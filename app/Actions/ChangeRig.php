<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Rig\EntryChange;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\MemorySettings;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigReader;

/**
 * Writes a change to a rig and its entry in the history, both or neither.
 *
 * Transactions begin by taking the database's write lock (`transaction_mode` in config/database.php),
 * so what is read inside cannot change before it is written.
 */
final readonly class ChangeRig
{
    /** So many changes of the other tab are named in a conflict. */
    private const MOST_NAMED = 5;

    public function __construct(private RigReader $reader)
    {
    }

    /**
     * @param  int  $revision  The revision the change was made on.
     * @param  string|null  $once  A name of this telling. It may be on its way twice: the second one is not done again.
     *
     * @throws Conflict if the rig has been changed since.
     * @throws DocumentError if the rig would not be sound afterwards.
     */
    public function __invoke(Rig $rig, int $revision, RigPatch $patch, string $text, EntryKind $kind = EntryKind::Change, ?int $undoes = null, ?string $once = null): Rig
    {
        return DB::transaction(function () use ($rig, $revision, $patch, $text, $kind, $undoes, $once): Rig {
            $fresh = Rig::query()->findOrFail($rig->id);
            if ($fresh->revision !== $revision) {
                if ($once !== null && $fresh->hasTaken($once)) {
                    return $fresh;
                }
                throw self::conflict($fresh, $revision);
            }
            $result = $patch->apply($fresh->plain());
            if ((array) $result->before === [] && (array) $result->after === [] && $result->lists === [] && $kind === EntryKind::Change) {
                return $fresh;
            }
            $document = $this->reader->fromDocument($result->document);
            // Cards named by id alone have become whole cards: what is kept is what stands there now.
            foreach (array_keys(get_object_vars($result->after)) as $place) {
                $result->after->{$place} = RigPatch::get($document->document, $place);
            }
            $change = EntryChange::of($result->before, $result->after, $result->lists);
            self::append($fresh, self::entry($kind, $text, $change, $undoes), $once);
            $sharing = $fresh->sharingMemory();
            $fresh->update(Rig::columns($document) + ['revision' => $revision + 1]);
            $this->carryOver(MemorySettings::shared($change, $document->document), $sharing, "With $fresh->name: $text");

            return $fresh->refresh();
        });
    }

    /**
     * What was changed in the handset's memory is changed for every rig flown from it.
     *
     * @param  list<Rig>  $sharing
     */
    private function carryOver(RigPatch $patch, array $sharing, string $text): void
    {
        foreach ($sharing as $rig) {
            $result = $patch->apply($rig->plain());
            if ((array) $result->after === [] && (array) $result->before === []) {
                continue;
            }
            self::append($rig, self::entry(EntryKind::Shared, $text, EntryChange::of($result->before, $result->after)));
            $rig->update(Rig::columns($this->reader->fromDocument($result->document)) + ['revision' => $rig->revision + 1]);
        }
    }

    private static function entry(EntryKind $kind, string $text, EntryChange $change, ?int $undoes = null): \stdClass
    {
        return (object) (['at' => Moment::now(), 'kind' => $kind->value, 'text' => $text] + get_object_vars($change->told()) + ($undoes === null ? [] : ['undoes' => $undoes]));
    }

    private static function append(Rig $rig, \stdClass $entry, ?string $once = null): void
    {
        RigEntry::query()->create(RigEntry::columns($rig, $rig->lastPosition() + 1, $entry) + ['once' => $once]);
    }

    private static function conflict(Rig $fresh, int $revision): Conflict
    {
        $since = $fresh->log($fresh->lastPosition() + 1 - max(1, min(self::MOST_NAMED, $fresh->revision - $revision)))->entries;
        $texts = array_map(static fn (\stdClass $entry): string => is_string($entry->text ?? null) ? $entry->text : 'a change', array_reverse($since));

        return new Conflict(
            "$fresh->name has been changed in another tab or window since this page read it (revision $revision, now $fresh->revision): ".implode('; ', $texts).'.',
            ['revision' => $fresh->revision, 'changed' => $texts],
        );
    }
}
