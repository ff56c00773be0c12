<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigLog;
use Linguator\Core\Rig\RigReview;

/**
 * A rig as it is now; how it came to be so stands in its entries.
 *
 * @property int $id
 * @property string $slug Its place in addresses.
 * @property string $name
 * @property string $document Canonical JSON without the log.
 * @property int $revision Rises with every write.
 * @property string|null $handset Id of the handset in its chain.
 * @property string|null $memory
 * @property int|null $receiver_number
 * @property string|null $summary What the bench shows, JSON.
 * @property string|null $summary_of The revision and build it was made of.
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

    /** @return list<array{slug: string, name: string, line: string, boxes: list<string>}> What rigs are found by, without reading their documents whole. */
    public static function named(): array
    {
        $line = "coalesce(json_extract(document, '$.craft.note'), json_extract(document, '$.craft.kind'))";
        $boxes = "(select json_group_array(json_extract(value, '$.name')) from json_each(document, '$.chain'))";

        $text = static fn (mixed $value): string => is_string($value) ? $value : '';

        return array_values(array_map(static fn (\stdClass $row): array => [
            'slug' => $text($row->slug ?? null),
            'name' => $text($row->name ?? null),
            'line' => $text($row->line ?? null),
            'boxes' => array_values(array_filter((array) json_decode($text($row->boxes ?? null), true), is_string(...))),
        ], DB::table('rigs')->selectRaw("slug, name, $line as line, $boxes as boxes")->orderBy('name')->get()->all()));
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

    /** @return array{name: string, document: string, handset: string|null, memory: string|null, receiver_number: int|null} */
    public static function columns(RigDocument $rig): array
    {
        $plain = $rig->canonical();
        $memory = $rig->settings()->get('memory');

        return [
            'name' => $rig->name(),
            'document' => Json::compact($plain),
            'handset' => $rig->handset()?->id,
            'memory' => is_int($memory) || is_string($memory) ? (string) $memory : null,
            'receiver_number' => $rig->settings()->intOrNull('receiver_number'),
        ];
    }

    /**
     * What the bench shows of this rig, computed again only when the rig or the program changed.
     *
     * @return array<string, mixed>
     */
    public function summary(): array
    {
        $of = $this->revision.'/'.config()->string('linguator.build');
        if ($this->summary === null || $this->summary_of !== $of) {
            $this->summary = Json::compact((new RigReview($this->rig()))->summary());
            // Written past the model: reading the bench is no change to the rig.
            self::query()->whereKey($this->id)->toBase()->update(['summary' => $this->summary, 'summary_of' => $of]);
        }
        $summary = json_decode($this->summary, true);

        return is_array($summary) ? $summary : [];
    }

    /** @return list<array{name: string, memory: string|null, receiver_number: int|null}> Other rigs of the same handset. */
    public function othersOfHandset(): array
    {
        $others = [];
        foreach ($this->handset === null ? [] : self::query()->where('handset', $this->handset)->whereKeyNot($this->id)->get(['id', 'name', 'memory', 'receiver_number'])->all() as $other) {
            $others[] = ['name' => $other->name, 'memory' => $other->memory, 'receiver_number' => $other->receiver_number];
        }

        return $others;
    }

    /** @return list<self> Rigs that are flown from the same memory through the same receiver number. */
    public function sharingMemory(): array
    {
        if ($this->handset === null || $this->memory === null || $this->receiver_number === null) {
            return [];
        }
        $same = ['handset' => $this->handset, 'memory' => $this->memory, 'receiver_number' => $this->receiver_number];

        return array_values(self::query()->where($same)->whereKeyNot($this->id)->get()->sortBy('name')->all());
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
