<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Rig;
use Illuminate\Console\Command;
use Linguator\Core\Document\Yaml;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints a rig document, history included. */
final class ExportCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:export {rig : The rig, by its address} {--yaml : YAML instead of JSON}';

    /** @var string */
    protected $description = 'Prints the document of a rig, history included.';

    public function handle(): int
    {
        $slug = $this->argument('rig');
        $rig = Rig::query()->where('slug', $slug)->first();
        if ($rig === null) {
            $this->error('There is no rig "'.(is_string($slug) ? $slug : '').'".');

            return 2;
        }
        $this->output->write($this->option('yaml') ? Yaml::dump($rig->whole()->canonical()) : $rig->text(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
