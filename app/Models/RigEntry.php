<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;

/**
 * One entry of a rig's history. Entries are only ever added.
 *
 * @property int $id
 * @property int $rig_id
 * @property int $position From 0.
 * @property string $at
 * @property string $kind
 * @property string|null $once What it was told by, where it may be told again.
 * @property-read Rig $rig
 * @property string $entry Canonical JSON, as in the document's log.
 */
final class RigEntry extends Model
{
    public $timestamps = false;

    protected $table = 'rig_entries';

    protected $guarded = [];

    /** @return array<int, string> When each rig's history was last added to, by the rig's key. */
    public static function latestByRig(): array
    {
        $latest = [];
        // One look into the index per rig; grouping would read every entry.
        foreach (DB::table('rigs')->selectRaw('id as rig_id, (select max(at) from rig_entries where rig_id = rigs.id) as at')->get() as $row) {
            if (is_int($row->rig_id) && is_string($row->at)) {
                $latest[$row->rig_id] = $row->at;
            }
        }

        return $latest;
    }

    /**
     * The newest whose text, or the name of whose rig, has each of these words.
     *
     * @param  list<string>  $words
     * @return list<array{slug: string, name: string, position: int, text: string, day: string}>
     */
    public static function withWords(array $words, int $most): array
    {
        if ($words === []) {
            return [];
        }
        $said = "json_extract(rig_entries.entry, '$.text')";
        $query = DB::table('rig_entries')->join('rigs', 'rigs.id', '=', 'rig_entries.rig_id')->whereRaw("$said is not null");
        foreach ($words as $word) {
            $query->whereRaw("instr(lower($said || ' ' || rigs.name), ?) > 0", [$word]);
        }
        $text = static fn (mixed $value): string => is_string($value) ? $value : '';

        return array_values(array_map(
            static fn (\stdClass $row): array => ['slug' => $text($row->slug), 'name' => $text($row->name), 'position' => is_int($row->position) ? $row->position : 0, 'text' => $text($row->text), 'day' => substr($text($row->at), 0, 10)],
            $query->orderByDesc('rig_entries.at')->limit($most)->selectRaw("rigs.slug, rigs.name, rig_entries.position, $said as text, rig_entries.at")->get()->all(),
        ));
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

    /** @return array{rig_id: int, position: int, at: string, kind: string, entry: string} */
    public static function columns(Rig $rig, int $position, \stdClass $entry): array
    {
        $canonical = KeyOrder::canonical($entry);
        assert($canonical instanceof \stdClass);

        return self::columnsOfCanonical($rig, $position, $canonical);
    }

    /**
     * The same of an entry whose keys are in order.
     *
     * @return array{rig_id: int, position: int, at: string, kind: string, entry: string}
     */
    public static function columnsOfCanonical(Rig $rig, int $position, \stdClass $entry): array
    {
        return [
            'rig_id' => $rig->id,
            'position' => $position,
            'at' => is_string($entry->at ?? null) ? $entry->at : '',
            'kind' => is_string($entry->kind ?? null) ? $entry->kind : '',
            'entry' => Json::compact($entry),
        ];
    }

    public function plain(): \stdClass
    {
        $entry = Json::kept($this->entry);
        assert($entry instanceof \stdClass);

        return $entry;
    }
}
