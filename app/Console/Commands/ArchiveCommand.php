<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ExportArchive;
use App\Console\Told;
use Illuminate\Console\Command;

final class ArchiveCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:archive {file : Where to}';

    /** @var string */
    protected $description = 'Writes everything on the bench into one zip of open documents, of any size.';

    public function handle(ExportArchive $export): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '';
        if (file_exists($file)) {
            $this->error("There is a file $file already; nothing was overwritten.");

            return 2;
        }
        try {
            $export($file, Told::progress($this->output));
        } catch (\RuntimeException $error) {
            @unlink($file);
            $this->error(Told::sentence($error));

            return 2;
        }
        $this->line("\nKept in $file");

        return self::SUCCESS;
    }
}
