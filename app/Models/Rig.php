<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\Plain;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\OtherRig;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigFace;
use Linguator\Core\Rig\RigLog;
use Linguator\Core\Rig\RigText;

/**
 * A rig as it is now; how it came to be so stands in its entries.
 *
 * @property int $id
 * @property string $slug Its place in addresses.
 * @property string $name
 * @property string $uid Its own id, which travels with it.
 * @property string|null $came_as The id it came with, where that one stood on the bench already.
 * @property string $document Canonical JSON without the log and the id.
 * @property string|null $face The same without what the screens no longer ask for; null: there is nothing to leave out.
 * @property int $revision Rises with every write.
 * @property string|null $handset Id of the handset in its chain.
 * @property string|null $memory
 * @property int|null $receiver_number
 * @property bool $is_archived Put by: it stands apart on the bench.
 * @property string|null $summary What the bench shows, JSON.
 * @property string|null $summary_of The revision and build it was made of.
 * @property \Illuminate\Support\Carbon $updated_at
 */
final class Rig extends Model
{
    /** So many entries of a history are shown, newest first. */
    public const RECENT = 200;

    // Told, not worked out: that takes a tenth of a request.
    protected $table = 'rigs';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['is_archived' => 'boolean'];

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
        $document = Json::kept($this->document);
        assert($document instanceof \stdClass);

        return $document;
    }

    /**
     * As the screens judge it: of the lists that only grow, what still counts. Whole in `plain` and `whole`.
     *
     * @param  RigLog|null  $log  Its history, to say when something was changed; null: that is not asked.
     */
    public function rig(?RigLog $log = null): RigDocument
    {
        $document = Json::kept($this->face ?? $this->document);
        assert($document instanceof \stdClass);

        return RigDocument::of($document, $log);
    }

    /** Its history; from a position on, if one is given. */
    public function log(int $from = 0): RigLog
    {
        return new RigLog(array_map(static function (string $text): \stdClass {
            $entry = Json::kept($text);
            assert($entry instanceof \stdClass);

            return $entry;
        }, $this->entryTexts($from)));
    }

    /** @return array<int, string> The entries as they are kept, by position. */
    private function entryTexts(int $from = 0): array
    {
        $texts = [];
        foreach (DB::table('rig_entries')->where('rig_id', $this->id)->where('position', '>=', $from)->orderBy('position')->pluck('entry', 'position')->all() as $position => $text) {
            $texts[(int) $position] = is_string($text) ? $text : '';
        }

        return $texts;
    }

    /** Whether a change that was told by this name is in its history. */
    public function hasTaken(string $once): bool
    {
        return RigEntry::query()->where(['rig_id' => $this->id, 'once' => $once])->exists();
    }

    /** The position of the latest change that still stands, or null. Looked for from the end, further back as long as need be. */
    public function lastStanding(): ?int
    {
        $last = $this->lastPosition();
        for ($many = self::RECENT; $last >= 0; $many *= 4) {
            $standing = $this->log(max(0, $last + 1 - $many))->lastStanding();
            if ($standing !== null || $many > $last) {
                return $standing;
            }
        }

        return null;
    }

    /** The last entries of its history. */
    public function recent(): RigLog
    {
        return $this->log(max(0, $this->lastPosition() + 1 - self::RECENT));
    }

    /** The position of the last entry; −1: there is none. */
    public function lastPosition(): int
    {
        $last = RigEntry::query()->where('rig_id', $this->id)->max('position');

        return is_numeric($last) ? (int) $last : -1;
    }

    /** @return array{name: string, document: string, face: string|null, handset: string|null, memory: string|null, receiver_number: int|null} */
    public static function columns(RigDocument $rig): array
    {
        $plain = $rig->canonical();
        $face = RigFace::of($plain);
        $memory = $rig->settings()->get('memory');

        return [
            'name' => $rig->name(),
            'document' => Json::compact($plain),
            'face' => $face === null ? null : Json::compact($face),
            'handset' => $rig->boxes->handset()?->id,
            'memory' => is_int($memory) || is_string($memory) ? (string) $memory : null,
            'receiver_number' => $rig->settings()->intOrNull('receiver_number'),
        ];
    }

    /**
     * What the bench shows of this rig, computed again only when the rig or the program changed. Its days are told by the clock of whoever asks.
     *
     * @return array<string, mixed>
     */
    public function summary(): array
    {
        $of = $this->revision.'/'.config()->string('linguator.build');
        if ($this->summary === null || $this->summary_of !== $of) {
            $this->summary = Json::compact(Day::marked(fn (): mixed => Plain::of((new RigReview($this->rig($this->recent())))->summary())));
            try {
                // Written past the model: reading the bench is no change to the rig.
                self::query()->whereKey($this->id)->toBase()->update(['summary' => $this->summary, 'summary_of' => $of]);
            } catch (QueryException) {
                // No room to keep it: it is computed again next time.
            }
        }
        $summary = json_decode(Day::told($this->summary), true);

        return is_array($summary) ? $summary : [];
    }

    /** @return list<OtherRig> Other rigs of the same handset. */
    public function othersOfHandset(): array
    {
        $others = [];
        foreach ($this->handset === null ? [] : self::query()->where('handset', $this->handset)->whereKeyNot($this->id)->get(['id', 'name', 'memory', 'receiver_number'])->all() as $other) {
            $others[] = new OtherRig($other->name, $other->memory, $other->receiver_number);
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

    /** The whole document as it is exported: JSON. */
    public function text(): string
    {
        $document = $this->plain();
        $document->uid = $this->uid;
        $entries = $this->entryTexts();
        if ($entries !== []) {
            // Its place; the entries are printed as they are kept.
            $document->log = [];
        }
        $canonical = KeyOrder::canonical($document);
        assert($canonical instanceof \stdClass);

        return RigText::json($canonical, array_values($entries));
    }

    /** The whole document, history included, as it is exported. */
    public function whole(): RigDocument
    {
        $document = $this->plain();
        $document->uid = $this->uid;
        $entries = array_values($this->log()->entries);
        if ($entries !== []) {
            $document->log = $entries;
        }

        return RigDocument::of($document);
    }
}
