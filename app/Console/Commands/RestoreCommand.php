<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Backup;
use Illuminate\Console\Command;

/** Brings a backup back, after checking it, and keeps what was there. */
final class RestoreCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:restore {file : A file made by linguator:backup}';

    /** @var string */
    protected $description = 'Puts the bench back as it was in a backup; what is there now is kept beside it.';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        try {
            $kept = $backup->restore(is_string($file) ? $file : '');
        } catch (\RuntimeException $error) {
            $this->error($error->getMessage());

            return 2;
        }
        $this->line("Restored. What was there is kept in $kept");

        return self::SUCCESS;
    }
}
