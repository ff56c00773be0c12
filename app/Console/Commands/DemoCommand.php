<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ImportFile;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Console\Command;

/** Loads the demo bench through the same import as a user's files. */
final class DemoCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:demo {--if-empty : Only on a bench with nothing on it}';

    /** @var string */
    protected $description = 'Loads the Saltmarsh demo bench.';

    public function handle(ImportFile $import): int
    {
        if ($this->option('if-empty') && (Card::query()->exists() || Rig::query()->exists())) {
            return self::SUCCESS;
        }
        $folder = config()->string('linguator.demo');
        foreach ([...glob("$folder/gear/*.yaml") ?: [], ...glob("$folder/rigs/*.yaml") ?: []] as $file) {
            $this->line(basename($file).': '.$import((string) file_get_contents($file)));
        }

        return self::SUCCESS;
    }
}
