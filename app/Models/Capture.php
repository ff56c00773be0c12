<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Document\DocumentError;

/**
 * A capture on the signal desk. Its bytes lie in a file under its number.
 *
 * @property int $id
 * @property string $name As the user called it; shown, never used as a path.
 * @property int $size Bytes.
 * @property string $sha256
 * @property string $at
 * @property string|null $gone_at When it was taken off the desk.
 */
final class Capture extends Model
{
    /** What `fileName` gives. */
    public const FILE_NAME = '/^[0-9]+-[0-9a-f]{16}$/D';

    /** How the page names what it heard through a sound input. */
    private const BY_EAR = 'by-ear-';

    public $timestamps = false;

    protected $table = 'captures';

    protected $guarded = [];

    /** @return array{id: int, name: string, size: int, at: string} */
    public function listed(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'size' => $this->size, 'at' => $this->at];
    }

    /** Whether its values came from a sound input, whose grain is too coarse to set anything by: by what it is, or by the name that the page keeps such values under. */
    public function isByEar(CaptureKind $kind): bool
    {
        return $kind === CaptureKind::Wav || str_starts_with($this->name, self::BY_EAR);
    }

    /** @return list<self> What lies on the desk, newest first. */
    public static function desk(): array
    {
        return array_values(self::query()->get()->whereNull('gone_at')->sortByDesc('id')->all());
    }

    public function path(): string
    {
        return self::folder().'/'.self::fileName($this->id, $this->sha256);
    }

    /** @throws DocumentError at this place of what was asked. */
    public static function onDesk(int $id, string $path): self
    {
        $capture = self::query()->find($id);

        return $capture instanceof self ? $capture : throw DocumentError::at($path, 'Found no such capture on the desk.', 'no_such_capture');
    }

    /** Where the files of all captures lie. */
    public static function folder(): string
    {
        return config()->string('linguator.captures');
    }

    /** Number and content: after a restore no file can pass for another one that had the same number. */
    public static function fileName(int $id, string $sha256): string
    {
        return "$id-".substr($sha256, 0, 16);
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
