<?php

declare(strict_types=1);

namespace App\Database;

/** What is wrong with the bench's file or its disk, told in one sentence with the way out. */
final readonly class Trouble
{
    private const UNAVAILABLE = 503;

    private const NO_ROOM = 507;

    /** What SQLite and PHP say, and what it means. */
    private const SAID = [
        'database or disk is full' => 'no_room',
        'No space left on device' => 'no_room',
        'disk I/O error' => 'no_room',
        'readonly database' => 'read_only',
        'Read-only file system' => 'read_only',
        'unable to open database file' => 'read_only',
        'database is locked' => 'busy',
        'does not exist. Ensure this is an absolute path' => 'gone',
        'file is not a database' => 'not_a_bench',
        'database disk image is malformed' => 'damaged',
        'malformed database schema' => 'damaged',
    ];

    private function __construct(public string $code, public int $status, public string $sentence)
    {
    }

    /** Null: it is something else. */
    public static function of(\Throwable $error): ?self
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            foreach (self::SAID as $words => $code) {
                if (str_contains($cause->getMessage(), $words)) {
                    return self::named($code);
                }
            }
        }

        return null;
    }

    public static function named(string $code): self
    {
        $file = self::file();

        return match ($code) {
            'no_room' => new self($code, self::NO_ROOM, 'There is no room left on the disk; nothing was changed. What is there can be read; make room, then do it once more.'),
            'read_only' => new self($code, self::NO_ROOM, "The bench's file $file cannot be written to; nothing was changed. What is there can be read. Give its folder back the right to write, or the disk its room."),
            'gone' => new self($code, self::UNAVAILABLE, "The bench's file $file is not there any more. Put it back, or start again with another one in LINGUATOR_DB."),
            'busy' => new self($code, self::UNAVAILABLE, 'The bench is busy with another write; nothing was changed. Try again in a moment.'),
            'not_a_bench' => new self($code, self::UNAVAILABLE, "The file $file is no database, so it is no bench; nothing was changed. Name another one in LINGUATOR_DB, or move this one away and start again."),
            'foreign' => new self($code, self::UNAVAILABLE, "The file $file is another program's database; nothing was changed. Name another one in LINGUATOR_DB."),
            'newer' => new self($code, self::UNAVAILABLE, "The bench in $file was made by a newer Linguator; nothing was changed. Start that one, or name another file in LINGUATOR_DB."),
            'unreadable' => new self($code, self::UNAVAILABLE, "The bench's file $file cannot be read; give the one who starts it the right to, or name another one in LINGUATOR_DB."),
            default => new self('damaged', self::UNAVAILABLE, "The bench's file $file is damaged. Move it away (mv $file $file.damaged), start again, and ".self::wayBack()),
        };
    }

    private static function wayBack(): string
    {
        $backups = glob(storage_path('backups').'/*.sqlite') ?: [];
        sort($backups);

        return $backups === []
            ? 'bring a backup back with "php artisan linguator:restore FILE"; none lies in storage/backups.'
            : 'bring the latest backup back with "php artisan linguator:restore '.$backups[count($backups) - 1].'".';
    }

    private static function file(): string
    {
        return config()->string('database.connections.'.config()->string('database.default').'.database');
    }
}
