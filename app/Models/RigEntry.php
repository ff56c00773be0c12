<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
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

    public function plain(): \stdClass
    {
        $entry = Json::decode($this->entry);
        assert($entry instanceof \stdClass);

        return $entry;
    }
}
