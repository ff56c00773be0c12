<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Rig\RigDocument;

/** Takes a rig off the bench so that it can be brought back whole: its document goes to the asker, its files wait here. */
final readonly class TakeOffBench
{
    private const COLUMNS = 'position, name, type, size, sha256, content, at';

    private const KEPT_DAYS = 30;

    public function __construct(private ImportRig $import)
    {
    }

    /**
     * @param  int|null  $revision  The revision the asker has seen; null: not told.
     * @return array{deleted: string, left: string} The whole document, and what its files wait under.
     *
     * @throws Conflict if the rig has been changed since.
     */
    public function __invoke(Rig $rig, ?int $revision = null): array
    {
        return DB::transaction(static function () use ($rig, $revision): array {
            $rig->refresh();
            if ($revision !== null && $rig->revision !== $revision) {
                throw new Conflict("$rig->name has been changed in another tab or window since this page read it (revision $revision, now $rig->revision); it stays on the bench.", ['revision' => $rig->revision]);
            }
            $whole = $rig->text();
            $token = bin2hex(random_bytes(16));
            DB::table('left_attachments')->where('left_at', '<', now()->subDays(self::KEPT_DAYS))->delete();
            DB::insert('insert into left_attachments (token, left_at, '.self::COLUMNS.') select ?, ?, '.self::COLUMNS.' from attachments where rig_id = ?', [$token, now(), $rig->id]);
            $rig->delete();

            return ['deleted' => $whole, 'left' => $token];
        });
    }

    /** Puts a rig back, with the files that wait for it, if any still do. */
    public function bringBack(RigDocument $document, string $token): Rig
    {
        return DB::transaction(function () use ($document, $token): Rig {
            $rig = ($this->import)($document);
            $entries = $rig->entries()->count();
            DB::insert('insert into attachments (rig_id, '.self::COLUMNS.') select ?, '.self::COLUMNS.' from left_attachments where token = ? and position < ?', [$rig->id, $token, $entries]);
            DB::table('left_attachments')->where('token', $token)->delete();

            return $rig;
        });
    }
}
