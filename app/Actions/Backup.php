<?php

declare(strict_types=1);

namespace App\Actions;

use App\Database\Trouble;
use Illuminate\Support\Facades\DB;

/** Copies of the whole bench, and back. */
final readonly class Backup
{
    /** What makes a file one of ours, parents before children. */
    private const TABLES = ['cards', 'rigs', 'rig_entries', 'aliases', 'attachments', 'formats', 'captures', 'left_attachments', 'practice_games', 'demo_marks'];

    private const OLDEST = ['cards', 'rigs', 'rig_entries', 'aliases'];

    public function __construct(private BackupFiles $files, private UpgradeRigs $upgrade)
    {
    }

    /**
     * A consistent copy by SQLite itself, while others read and write.
     *
     * @return string Where it stands.
     */
    public function write(?string $file): string
    {
        if ($file === null) {
            @mkdir(storage_path('backups'));
            $file = storage_path('backups/'.now()->format('Y-m-d_His').'.sqlite');
        }
        if (file_exists($file)) {
            throw new \RuntimeException("There is a file $file already; nothing was overwritten.");
        }
        if (! is_dir(dirname($file)) || ! is_writable(dirname($file))) {
            throw new \RuntimeException('The folder '.dirname($file).' cannot be written to.');
        }
        try {
            DB::statement('VACUUM INTO ?', [$file]);
            $this->files->putInto(self::open($file));
        } catch (\PDOException $error) {
            // No room, most likely: half a backup is none.
            @unlink($file);
            throw new \RuntimeException('The backup cannot be written. '.(Trouble::of($error)->sentence ?? $error->getMessage()));
        }

        return $file;
    }

    /**
     * Checks the file, keeps a copy of what is there, then replaces all rows in one transaction: either all of it or nothing.
     *
     * @return string Where the old bench is kept.
     */
    public function restore(string $file): string
    {
        $this->check($file);
        $kept = $this->write(storage_path('backups/before-restore-'.now()->format('Y-m-d_His').'-'.bin2hex(random_bytes(3)).'.sqlite'));
        // Their names tell their content: beside those that are there they disturb nobody.
        $this->files->takeFrom(self::open($file));
        DB::statement('ATTACH DATABASE ? AS backup', [realpath($file)]);
        try {
            DB::transaction(function (): void {
                foreach (array_reverse(self::TABLES) as $table) {
                    DB::statement("DELETE FROM main.$table");
                }
                foreach (self::TABLES as $table) {
                    $this->copy($table);
                }
                ($this->upgrade)();
            });
        } finally {
            DB::statement('DETACH DATABASE backup');
        }
        $this->files->clearAway();

        return $kept;
    }

    private function copy(string $table): void
    {
        $there = $this->columns('backup', $table);
        $columns = implode(', ', array_map(static fn (string $name): string => "\"$name\"", array_values(array_intersect($this->columns('main', $table), $there))));
        if ($columns !== '') {
            DB::statement("INSERT INTO main.$table ($columns) SELECT $columns FROM backup.$table");
        }
    }

    /** @return list<string> */
    private function columns(string $schema, string $table): array
    {
        return array_values(array_filter(array_map(static fn (object $column): mixed => $column->name ?? null, DB::select("PRAGMA $schema.table_info($table)")), is_string(...)));
    }

    private function check(string $file): void
    {
        if (! is_file($file)) {
            throw new \RuntimeException("There is no file \"$file\".");
        }
        @mkdir(storage_path('backups'));
        if (file_get_contents($file, false, null, 0, 16) !== "SQLite format 3\0") {
            throw new \RuntimeException("\"$file\" is no backup of a bench; nothing was changed.");
        }
        try {
            $copy = self::open($file);
            $sound = BackupFiles::column($copy, 'PRAGMA integrity_check') === ['ok'];
            $tables = BackupFiles::column($copy, "SELECT name FROM sqlite_master WHERE type = 'table'");
        } catch (\PDOException $error) {
            throw new \RuntimeException("\"$file\" is damaged ({$error->getMessage()}); nothing was changed.");
        }
        if (! $sound) {
            throw new \RuntimeException("\"$file\" is damaged; nothing was changed.");
        }
        $missing = array_diff(self::OLDEST, $tables);
        if ($missing !== []) {
            throw new \RuntimeException("\"$file\" is another program's database (no ".implode(', ', $missing).'); nothing was changed.');
        }
    }

    private static function open(string $file): \PDO
    {
        return new \PDO("sqlite:$file", null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
    }
}
