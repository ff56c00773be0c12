<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Backup;
use Illuminate\Console\Command;

/** A consistent copy of everything, also while the bench is in use. */
final class BackupCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:backup {file? : Where to; else storage/backups with the time in its name}';

    /** @var string */
    protected $description = 'Copies the whole bench into one file, also while it is in use.';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        try {
            $this->line('Kept in '.$backup->write(is_string($file) ? $file : null));
        } catch (\RuntimeException $error) {
            $this->error($error->getMessage());

            return 2;
        }

        return self::SUCCESS;
    }
}
