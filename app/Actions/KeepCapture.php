<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Capture;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** Puts a capture on the signal desk: its row and its file, both or neither. */
final readonly class KeepCapture
{
    public const MAX_BYTES = 64_000_000;

    /** Files that are there only while something is under way. */
    private const PASSING = '/^\.(?:[0-9a-f]{16}|progress-[0-9a-f]{64}(?:-stop)?)$/D';

    private const CHUNK_BYTES = 65_536;

    /** Nothing is under way for so long. */
    private const PASSING_S = 3600;

    /**
     * @param  resource  $from  Read to its end.
     * @param  string|null  $at  When it was brought in; null: now.
     *
     * @throws DocumentError if there is nothing in it, or too much.
     * @throws \RuntimeException if there is no room.
     */
    public function __invoke(string $name, mixed $from, ?string $at = null): Capture
    {
        File::ensureDirectoryExists(Capture::folder());
        $this->clearAway();
        $waiting = Capture::folder().'/.'.bin2hex(random_bytes(8));
        try {
            $size = $this->write($from, $waiting);
            if ($size === 0) {
                throw DocumentError::at('capture', 'The capture is empty: found 0 bytes; expected bytes, changes or values.', 'empty');
            }

            return DB::transaction(static function () use ($name, $waiting, $size, $at): Capture {
                $capture = Capture::query()->create([
                    'name' => self::name($name),
                    'size' => $size,
                    'sha256' => (string) hash_file('sha256', $waiting),
                    'at' => $at ?? Moment::now(),
                ]);
                File::move($waiting, $capture->path());

                return $capture;
            });
        } finally {
            File::delete($waiting);
        }
    }

    public static function name(string $told): string
    {
        return Excerpt::text(basename(str_replace('\\', '/', $told))) ?: 'capture';
    }

    /** What has been off the desk for a day is not missed any more. */
    private function clearAway(): void
    {
        foreach (Capture::query()->where('gone_at', '<', now()->subDay()->format('Y-m-d\TH:i:s\Z'))->get() as $capture) {
            $capture->delete();
            File::delete($capture->path());
        }
        // What a server that was killed has left behind: a capture on its way, how far a reading was.
        foreach (File::isDirectory(Capture::folder()) ? File::files(Capture::folder(), true) : [] as $file) {
            // Another request may have taken it away in the meantime.
            $at = preg_match(self::PASSING, $file->getFilename()) === 1 ? @filemtime($file->getPathname()) : false;
            if ($at !== false && $at < time() - self::PASSING_S) {
                File::delete($file->getPathname());
            }
        }
    }

    /** @param  resource  $from */
    private function write(mixed $from, string $path): int
    {
        $to = @fopen($path, 'xb');
        $size = 0;
        while ($to !== false && ! feof($from) && $size <= self::MAX_BYTES) {
            $bytes = @fread($from, self::CHUNK_BYTES);
            if ($bytes === false) {
                throw DocumentError::at('capture', 'The capture did not arrive whole; send it again.', 'incomplete');
            }
            $size += strlen($bytes);
            if (@fwrite($to, $bytes) !== strlen($bytes)) {
                $to = false;
            }
        }
        if ($to === false || ! fclose($to)) {
            throw new \RuntimeException('No space left on device: the capture cannot be kept.');
        }
        if ($size > self::MAX_BYTES) {
            throw DocumentError::at('capture', 'Found more than '.intdiv(self::MAX_BYTES, 1_000_000).' MB; expected a capture of at most that. The command linguator:decode takes files of any size.', 'too_large');
        }

        return $size;
    }
}
