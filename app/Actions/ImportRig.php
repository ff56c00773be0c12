<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigIdentity;

/**
 * Puts a rig document on the bench, history included. A rig already there is never replaced.
 *
 * Its id comes with it where no rig on this bench has that id; else it gets a new one, and remembers which it came with.
 */
final readonly class ImportRig
{
    /** @param  string|null  $slug  The address it had elsewhere: kept if it is free here. */
    public function __invoke(RigDocument $document, ?string $slug = null): Rig
    {
        return DB::transaction(function () use ($document, $slug): Rig {
            $plain = $document->canonical();
            $uid = RigIdentity::of($plain);
            unset($plain->uid);
            $log = is_array($plain->log ?? null) ? array_values($plain->log) : [];
            // An empty list is kept as it is, so that what comes out is what went in.
            if ($log !== []) {
                unset($plain->log);
            }
            $isTaken = Rig::query()->where('uid', $uid)->exists();
            $rig = Rig::query()->create([
                'uid' => $isTaken ? self::newUid() : $uid,
                'came_as' => $isTaken ? $uid : null,
                'slug' => $slug !== null && ! self::isHere($slug) ? $slug : FreeName::of($document->name(), 'rig', self::isHere(...)),
                'revision' => max(1, count($log)),
            ] + Rig::columns(RigDocument::of($plain)));
            self::entries($rig, $log);

            return $rig;
        });
    }

    /**
     * The history, by one prepared statement: a bench brought in has tens of thousands of entries.
     *
     * @param  list<mixed>  $log  Keys in order.
     */
    private static function entries(Rig $rig, array $log): void
    {
        $insert = DB::connection()->getPdo()->prepare('insert into rig_entries (rig_id, position, at, kind, entry) values (?, ?, ?, ?, ?)');
        foreach ($log as $position => $entry) {
            assert($entry instanceof \stdClass);
            $columns = RigEntry::columnsOfCanonical($rig, $position, $entry);
            $insert->execute([$columns['rig_id'], $columns['position'], $columns['at'], $columns['kind'], $columns['entry']]);
        }
    }

    /** For a rig that begins here. */
    public static function newUid(): string
    {
        return bin2hex(random_bytes(8));
    }

    private static function isHere(string $slug): bool
    {
        return Rig::query()->where('slug', $slug)->exists();
    }
}
