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

    /** @return array{deleted: string, left: string} The whole document, and what its files wait under. */
    public function __invoke(Rig $rig): array
    {
        return DB::transaction(static function () use ($rig): array {
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
