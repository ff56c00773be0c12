<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Capture;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** The files of captures on the desk, in a table of a backup: so a bench is kept in one file. */
final readonly class BackupFiles
{
    private const TABLE = 'capture_files';

    /** Files are cut into parts of this size, so that none stands in memory whole. */
    private const PART_BYTES = 1_048_576;

    /** Files of the captures that the copy lists; one that is gone is left out. */
    public function putInto(\PDO $copy): void
    {
        $copy->beginTransaction();
        $copy->exec('CREATE TABLE '.self::TABLE.' (name TEXT NOT NULL, part INTEGER NOT NULL, bytes BLOB NOT NULL, PRIMARY KEY (name, part))');
        $put = $copy->prepare('INSERT INTO '.self::TABLE.' VALUES (?, ?, ?)');
        foreach ($copy->query('SELECT id, sha256 FROM captures') ?: [] as $row) {
            assert(is_array($row) && is_numeric($row['id']) && is_string($row['sha256']));
            $name = Capture::fileName((int) $row['id'], $row['sha256']);
            $file = @fopen(Capture::folder()."/$name", 'rb');
            for ($part = 0; $file !== false && ($bytes = (string) fread($file, self::PART_BYTES)) !== ''; $part++) {
                $put->bindValue(1, $name);
                $put->bindValue(2, $part, \PDO::PARAM_INT);
                $put->bindValue(3, $bytes, \PDO::PARAM_LOB);
                $put->execute();
            }
        }
        $copy->commit();
    }

    /** Writes the files of a backup that are not there yet, each whole or not at all. */
    public function takeFrom(\PDO $backup): void
    {
        if (self::column($backup, "SELECT name FROM sqlite_master WHERE name = '".self::TABLE."'") === []) {
            return;
        }
        File::ensureDirectoryExists(Capture::folder());
        foreach (self::column($backup, 'SELECT DISTINCT name FROM '.self::TABLE) as $name) {
            // The table comes from outside: nothing but names that this bench gives.
            if (is_string($name) && preg_match(Capture::FILE_NAME, $name) === 1 && ! is_file(Capture::folder()."/$name")) {
                $this->take($backup, $name);
            }
        }
    }

    /** Files that no capture has any more, and captures whose file is not there. */
    public function clearAway(): void
    {
        // While this one may write nobody brings a capture in, whose file stands there before its row.
        DB::transaction($this->clear(...));
    }

    private function clear(): void
    {
        foreach (Capture::query()->get() as $capture) {
            if (! is_file($capture->path())) {
                $capture->delete();
            }
        }
        $used = array_map(static fn (Capture $capture): string => $capture->path(), Capture::query()->get()->all());
        foreach (File::isDirectory(Capture::folder()) ? File::files(Capture::folder()) : [] as $file) {
            if (preg_match(Capture::FILE_NAME, $file->getFilename()) === 1 && ! in_array($file->getPathname(), $used, true)) {
                File::delete($file->getPathname());
            }
        }
    }

    private function take(\PDO $backup, string $name): void
    {
        $waiting = Capture::folder().'/.'.bin2hex(random_bytes(8));
        $parts = $backup->prepare('SELECT bytes FROM '.self::TABLE.' WHERE name = ? ORDER BY part');
        $parts->execute([$name]);
        try {
            while (is_string($bytes = $parts->fetchColumn())) {
                File::append($waiting, $bytes);
            }
            File::move($waiting, Capture::folder()."/$name");
        } finally {
            File::delete($waiting);
        }
    }

    /** @return list<mixed> The first column of the answer. */
    public static function column(\PDO $database, string $question): array
    {
        $answer = $database->query($question);

        return $answer === false ? [] : array_values($answer->fetchAll(\PDO::FETCH_COLUMN));
    }
}
