<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Rig;
use Illuminate\Console\Command;
use Linguator\Core\Document\Yaml;

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
        $text = $this->option('yaml') ? Yaml::dump($rig->whole()->canonical()) : $rig->text();
        if (@fwrite(STDOUT, $text) !== strlen($text)) {
            $this->output->getErrorStyle()->writeln('The document could not be written to its end: there is no room for it, or nobody reads it.');

            return 2;
        }

        return self::SUCCESS;
    }
}
