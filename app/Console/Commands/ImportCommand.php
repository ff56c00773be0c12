<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ImportFile;
use Illuminate\Console\Command;
use Linguator\Core\Document\DocumentError;

/** Takes gear cards and rig documents in from files, as the screens do. */
final class ImportCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:import {file* : YAML or JSON files: gear cards or a rig document} {--replace : Replace cards of the same id}';

    /** @var string */
    protected $description = 'Imports gear cards and rig documents from files.';

    public function handle(ImportFile $import): int
    {
        foreach ((array) $this->argument('file') as $file) {
            $file = is_string($file) ? $file : '';
            if (! is_file($file)) {
                $this->error("The file \"$file\" cannot be read.");

                return 2;
            }
            try {
                $this->line("$file: ".$import((string) file_get_contents($file), (bool) $this->option('replace')));
            } catch (DocumentError $error) {
                $place = $error->path === '' ? '' : " at $error->path";
                $this->error("$file".($error->sourceLine === null ? '' : ", line $error->sourceLine")."$place: {$error->getMessage()}");

                return 2;
            }
        }

        return self::SUCCESS;
    }
}
