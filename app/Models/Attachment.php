<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file kept with an entry of a rig's history: a picture of the wiring, a text dump. Its content stays in the database, under no name of the user's.
 *
 * @property int $id
 * @property int $rig_id
 * @property int $position Of the entry, from 0.
 * @property string $name As the user called it; shown, never used as a path.
 * @property string $type One of those in `FileType`.
 * @property int $size Bytes.
 * @property string $sha256
 * @property string $content
 * @property string $at
 */
final class Attachment extends Model
{
    /** Everything but the content. */
    public const LISTED = ['id', 'rig_id', 'position', 'name', 'type', 'size', 'sha256', 'at'];

    public $timestamps = false;

    protected $table = 'attachments';

    protected $guarded = [];

    protected $hidden = ['content'];

    /** @return array{id: int, name: string, type: string, size: int, at: string} */
    public function listed(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'type' => $this->type, 'size' => $this->size, 'at' => $this->at];
    }
}
