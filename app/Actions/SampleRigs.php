<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\Cache;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;

/**
 * The rigs of the demo, to be run and practised on though they are not on this bench. In addresses they go by a name that no rig of the bench
 * can have. Nothing of them is ever written.
 */
final readonly class SampleRigs
{
    public const MARK = '~';

    public function __construct(private CardReader $cards, private Schemas $schemas)
    {
    }

    /** @return list<array{slug: string, name: string}> By name. */
    public function names(): array
    {
        return array_map(static fn (string $slug, \stdClass $rig): array => ['slug' => self::MARK.$slug, 'name' => (string) $rig->name], array_keys($this->all()), $this->all());
    }

    /**
     * A rig of the bench, or a sample.
     *
     * @throws ModelNotFoundException<Rig>
     */
    public function find(string $slug): RigDocument
    {
        $sample = str_starts_with($slug, self::MARK) ? $this->all()[substr($slug, 1)] ?? null : null;

        return $sample === null ? Rig::query()->where('slug', $slug)->firstOrFail()->whole() : RigDocument::of($sample);
    }

    /** @return array<string, \stdClass> Canonical documents, read once for each build and state of the files. */
    private function all(): array
    {
        $folder = config()->string('linguator.demo');
        $files = ['gear' => glob("$folder/gear/*.yaml") ?: [], 'rigs' => glob("$folder/rigs/*.yaml") ?: []];
        $state = hash('xxh128', Json::compact([config('linguator.build'), array_map(filemtime(...), array_merge(...array_values($files)))]));
        $rigs = [];
        foreach ($this->texts("sample-rigs/$state", $files['gear'], $files['rigs']) as $slug => $text) {
            $document = Json::kept(is_string($text) ? $text : '{}');
            assert($document instanceof \stdClass);
            $rigs[(string) $slug] = $document;
        }

        return $rigs;
    }

    /**
     * @param  list<string>  $gear
     * @param  list<string>  $rigs
     * @return array<mixed>
     */
    private function texts(string $key, array $gear, array $rigs): array
    {
        $texts = Cache::get($key);
        if (is_array($texts)) {
            return $texts;
        }
        $texts = $this->read($gear, $rigs);
        // Where there is no room to keep them, they are read again next time.
        rescue(static fn (): bool => Cache::forever($key, $texts), report: false);

        return $texts;
    }

    /**
     * @param  list<string>  $gear
     * @param  list<string>  $rigs
     * @return array<string, string> Canonical JSON by the name of the file.
     */
    private function read(array $gear, array $rigs): array
    {
        $cards = [];
        foreach ($gear as $file) {
            foreach ($this->cards->fromText((string) file_get_contents($file)) as $card) {
                $cards[$card->id] = $card->document;
            }
        }
        $reader = new RigReader($this->schemas, new Shelf(static fn (string $id): ?\stdClass => $cards[$id] ?? null));
        $texts = [];
        foreach ($rigs as $file) {
            $texts[basename($file, '.yaml')] = Json::compact($reader->fromText((string) file_get_contents($file))->canonical());
        }

        return $texts;
    }
}
