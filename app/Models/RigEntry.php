<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
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

    public function plain(): \stdClass
    {
        $entry = Json::decode($this->entry);
        assert($entry instanceof \stdClass);

        return $entry;
    }
}
