<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\Json;

/**
 * One entry of a rig's history. Entries are only ever added.
 *
 * @property int $id
 * @property int $rig_id
 * @property int $position From 0.
 * @property string $at
 * @property string $kind
 * @property-read Rig $rig
 * @property string $entry Canonical JSON, as in the document's log.
 */
final class RigEntry extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<int, string> When each rig's history was last added to, by the rig's key. */
    public static function latestByRig(): array
    {
        $latest = [];
        foreach (DB::table('rig_entries')->selectRaw('rig_id, max(at) as at')->groupBy('rig_id')->get() as $row) {
            if (is_int($row->rig_id) && is_string($row->at)) {
                $latest[$row->rig_id] = $row->at;
            }
        }

        return $latest;
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    /** @return list<string> Kinds of entry there are, for filtering. */
    public static function kinds(): array
    {
        return array_values(array_filter(DB::table('rig_entries')->distinct()->orderBy('kind')->pluck('kind')->all(), is_string(...)));
    }

    public function plain(): \stdClass
    {
        $entry = Json::decode($this->entry);
        assert($entry instanceof \stdClass);

        return $entry;
    }
}
