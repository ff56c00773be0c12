<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ImportFile;
use App\Actions\KeepCapture;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Console\Command;

/** Loads the demo bench through the same import as a user's files. */
final class DemoCommand extends Command
{
    /** Captures that lie on the signal desk from the start; the other samples are offered there. */
    private const ON_THE_DESK = ['mudlark-train.csv', 'oystercatcher-link-cut.hex', 'converter-two-wires.vcd'];

    /** @var string */
    protected $signature = 'linguator:demo {--if-empty : Only on a bench with nothing on it}';

    /** @var string */
    protected $description = 'Loads the Saltmarsh demo bench.';

    public function handle(ImportFile $import, KeepCapture $keep): int
    {
        if ($this->option('if-empty') && (Card::query()->exists() || Rig::query()->exists())) {
            return self::SUCCESS;
        }
        $folder = config()->string('linguator.demo');
        foreach ([...glob("$folder/gear/*.yaml") ?: [], ...glob("$folder/rigs/*.yaml") ?: []] as $file) {
            $this->line(basename($file).': '.$import((string) file_get_contents($file)));
        }

        foreach (self::ON_THE_DESK as $name) {
            $stream = fopen("$folder/captures/$name", 'rb');
            if ($stream !== false) {
                $this->line("$name: capture ".$keep($name, $stream)->id);
            }
        }

        return self::SUCCESS;
    }
}
