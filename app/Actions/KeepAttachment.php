<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attachment;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** Keeps a file with an entry of a rig's history. */
final readonly class KeepAttachment
{
    public const MAX_BYTES = 5_242_880;

    public const MOST_EACH = 20;

    /** @throws DocumentError if the entry is not there, or the file is too large, of another kind, or one too many. */
    public function __invoke(Rig $rig, int $position, string $name, string $content, string $at): Attachment
    {
        if (strlen($content) > self::MAX_BYTES) {
            throw DocumentError::at('file', sprintf('Found %.1f MB; expected at most %d MB.', strlen($content) / 1_048_576, self::MAX_BYTES / 1_048_576), 'too_large');
        }
        $type = FileType::of($content)
            ?? throw DocumentError::at('file', 'Found '.($content === '' ? 'an empty file' : 'something else inside '.Excerpt::of($name)).'; expected a PNG, JPEG or WebP picture, or plain text.', 'wrong_type');

        return self::put($rig, $position, $name, $content, $type, $at);
    }

    /** A capture: bytes of any kind, handed out for saving only. */
    public function capture(Rig $rig, int $position, string $name, string $content, string $at): Attachment
    {
        return self::put($rig, $position, $name, $content, FileType::of($content) === 'text/plain' ? 'text/plain' : FileType::BYTES, $at);
    }

    /** A name as it is kept: of its path the last part, short, on one line, printable. */
    public static function name(string $told): string
    {
        return Excerpt::text(basename(str_replace('\\', '/', $told))) ?: 'file';
    }

    private static function put(Rig $rig, int $position, string $name, string $content, string $type, string $at): Attachment
    {
        return DB::transaction(static function () use ($rig, $position, $name, $content, $type, $at): Attachment {
            if (! RigEntry::query()->where(['rig_id' => $rig->id, 'position' => $position])->exists()) {
                throw DocumentError::at('entry', "There is no entry $position in the history of $rig->name.", 'no_such_entry');
            }
            if (Attachment::query()->where(['rig_id' => $rig->id, 'position' => $position])->count() >= self::MOST_EACH) {
                throw DocumentError::at('entry', 'This entry has '.self::MOST_EACH.' files already.', 'too_many');
            }

            return Attachment::query()->create([
                'rig_id' => $rig->id, 'position' => $position, 'name' => self::name($name), 'type' => $type,
                'size' => strlen($content), 'sha256' => hash('sha256', $content), 'content' => $content, 'at' => $at,
            ]);
        });
    }
}
