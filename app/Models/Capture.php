<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Linguator\Core\Document\DocumentError;

/**
 * A capture on the signal desk. Its bytes lie in a file under its number.
 *
 * @property int $id
 * @property string $name As the user called it; shown, never used as a path.
 * @property int $size Bytes.
 * @property string $sha256
 * @property string $at
 */
final class Capture extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array{id: int, name: string, size: int, at: string} */
    public function listed(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'size' => $this->size, 'at' => $this->at];
    }

    public function path(): string
    {
        return config()->string('linguator.captures').'/'.$this->id;
    }

    /**
     * @return resource
     *
     * @throws DocumentError if its file is gone.
     */
    public function stream(): mixed
    {
        $stream = @fopen($this->path(), 'rb');

        return $stream === false ? throw new DocumentError('file_gone', "The file of the capture \"$this->name\" is not there any more; bring it in again.") : $stream;
    }
}
