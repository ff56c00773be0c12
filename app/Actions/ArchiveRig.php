<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigHistory;
use Linguator\Core\Rig\RigIdentity;
use Linguator\Core\Rig\RigLog;

/** How a rig in an archive stands to those on the bench. A rig is known by its id, whatever it is called by now. */
final readonly class ArchiveRig
{
    private const ADDED = 'added';

    private const BESIDE = 'beside';

    private const SAME = 'same';

    /** @param  'added'|'beside'|'same'  $standing */
    private function __construct(public string $standing, public ?Rig $there)
    {
    }

    public static function of(RigDocument $document): self
    {
        $plain = $document->canonical();
        $uid = RigIdentity::of($plain);
        // One that came in beside another took a new id, and remembers this one.
        $known = Rig::query()->where('uid', $uid)->orWhere('came_as', $uid)->get()->sortBy('id')->all();
        foreach ($known as $rig) {
            if (self::isSame($rig, $plain)) {
                return new self(self::SAME, $rig);
            }
        }

        return new self($known === [] ? self::ADDED : self::BESIDE, null);
    }

    /** Held against what is kept as it is kept: as text, nothing is read. */
    private static function isSame(Rig $rig, \stdClass $plain): bool
    {
        $document = clone $plain;
        $log = is_array($document->log ?? null) ? array_values($document->log) : [];
        unset($document->uid);
        if ($log !== []) {
            unset($document->log);
        }
        if ($rig->document !== Json::compact($document)) {
            return false;
        }
        $kept = DB::table('rig_entries')->where('rig_id', $rig->id)->orderBy('position')->pluck('entry')->all();

        return count($kept) === count($log) && ($kept === self::texts($rig, $log) || (! isset($plain->uid) && $kept === self::texts($rig, self::lean($document, $log))));
    }

    /**
     * @param  list<mixed>  $log
     * @return list<string>
     */
    private static function texts(Rig $rig, array $log): array
    {
        return array_map(static fn (mixed $entry): string => $entry instanceof \stdClass ? RigEntry::columnsOfCanonical($rig, 0, $entry)['entry'] : '', $log);
    }

    /**
     * The history as it would be kept today: older archives tell of lists whole.
     *
     * @param  list<mixed>  $log
     * @return list<mixed>
     */
    private static function lean(\stdClass $document, array $log): array
    {
        try {
            return array_map(KeyOrder::canonical(...), array_values((new RigHistory($document, new RigLog(array_filter($log, static fn (mixed $entry): bool => $entry instanceof \stdClass))))->lean()));
        } catch (DocumentError) {
            return [];
        }
    }
}
