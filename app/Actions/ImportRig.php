<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\RigDocument;

/** Puts a rig document on the bench, history included. A rig already there is never replaced. */
final readonly class ImportRig
{
    /** Rows in one statement: five values each, well under SQLite's bound. */
    private const AT_ONCE = 500;

    public function __invoke(RigDocument $document): Rig
    {
        return DB::transaction(function () use ($document): Rig {
            $plain = $document->canonical();
            $log = is_array($plain->log ?? null) ? $plain->log : [];
            // An empty list is kept as it is, so that what comes out is what went in.
            if ($log !== []) {
                unset($plain->log);
            }
            $rig = Rig::query()->create([
                'slug' => self::freeSlug($document->name()),
                'revision' => max(1, count($log)),
                'document' => Json::compact($plain),
            ] + Rig::columns($document));
            $rows = [];
            foreach (array_values($log) as $position => $entry) {
                assert($entry instanceof \stdClass);
                $rows[] = RigEntry::columns($rig, $position, $entry);
            }
            foreach (array_chunk($rows, self::AT_ONCE) as $chunk) {
                RigEntry::query()->insert($chunk);
            }

            return $rig;
        });
    }

    private static function freeSlug(string $name): string
    {
        $base = Str::limit(Str::slug($name), 60, '') ?: 'rig';
        $slug = $base;
        for ($k = 2; Rig::query()->where('slug', $slug)->exists(); $k++) {
            $slug = "$base-$k";
        }

        return $slug;
    }
}
