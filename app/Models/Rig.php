<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigLog;

/**
 * A rig as it is now; how it came to be so stands in its entries.
 *
 * @property int $id
 * @property string $slug Its place in addresses.
 * @property string $name
 * @property string $document Canonical JSON without the log.
 * @property int $revision Rises with every write.
 * @property \Illuminate\Support\Carbon $updated_at
 */
final class Rig extends Model
{
    protected $guarded = [];

    /** @return list<self> Every rig, by name. */
    public static function bench(): array
    {
        return array_values(self::query()->get()->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->all());
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return HasMany<RigEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(RigEntry::class);
    }

    public function plain(): \stdClass
    {
        $document = Json::decode($this->document);
        assert($document instanceof \stdClass);

        return $document;
    }

    public function rig(): RigDocument
    {
        return RigDocument::of($this->plain());
    }

    public function log(): RigLog
    {
        $entries = $this->entries()->get()->sortBy('position');

        return new RigLog(array_values($entries->map(static fn (RigEntry $entry): \stdClass => $entry->plain())->all()));
    }

    /** The whole document, history included, as it is exported. */
    public function whole(): RigDocument
    {
        $document = $this->plain();
        $entries = $this->log()->entries;
        if ($entries !== []) {
            $document->log = $entries;
        }

        return RigDocument::of($document);
    }
}
