<?php

declare(strict_types=1);

namespace App\Actions;

use App\Database\Trouble;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Looks whether the bench's file can be used, before anything is written to it, and brings it up to date. */
final readonly class PrepareBench
{
    private const SQLITE = "SQLite format 3\0";

    /** Null: it is ready. */
    public function __invoke(string $file): ?Trouble
    {
        try {
            $trouble = $this->file($file) ?? $this->content($file);
            if ($trouble === null) {
                $this->update();
            }

            return $trouble;
        } catch (\PDOException $error) {
            return Trouble::of($error) ?? Trouble::named('damaged');
        }
    }

    private function file(string $file): ?Trouble
    {
        if (! file_exists($file)) {
            return @touch($file) ? null : Trouble::named(is_dir(dirname($file)) ? 'read_only' : 'unreadable');
        }
        $start = is_file($file) ? @file_get_contents($file, false, null, 0, strlen(self::SQLITE)) : false;

        return match (true) {
            $start === false => Trouble::named('unreadable'),
            $start !== '' && $start !== self::SQLITE => Trouble::named('not_a_bench'),
            default => null,
        };
    }

    private function content(string $file): ?Trouble
    {
        $bench = new \PDO("sqlite:$file", null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $tables = BackupFiles::column($bench, "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'");
        if ($tables !== [] && ! in_array('migrations', $tables, true)) {
            return Trouble::named('foreign');
        }
        if (BackupFiles::column($bench, 'PRAGMA quick_check(1)') !== ['ok']) {
            return Trouble::named('damaged');
        }
        $known = array_map(static fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $there = $tables === [] ? [] : BackupFiles::column($bench, 'SELECT migration FROM migrations');

        return match (true) {
            array_diff($there, $known) === [] => null,
            in_array('rigs', $tables, true) => Trouble::named('newer'),
            default => Trouble::named('foreign'),
        };
    }

    private function update(): void
    {
        // Takes the right to write, which a read-only file or disk does not give, and writes nothing.
        DB::transaction(static fn (): null => null);
        Artisan::call('migrate', ['--force' => true, '--quiet' => true]);
    }
}
