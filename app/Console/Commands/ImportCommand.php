<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ArchiveBounds;
use App\Actions\ImportArchive;
use App\Actions\ImportFile;
use App\Console\Told;
use Illuminate\Console\Command;
use Linguator\Core\Document\DocumentError;

final class ImportCommand extends Command
{
    private const ZIP = "PK\x03\x04";

    /** @var string */
    protected $signature = 'linguator:import {file* : YAML or JSON files with gear cards or a rig document, or archives of any size} {--replace : Replace cards and formats of the same id}';

    /** @var string */
    protected $description = 'Imports gear cards, rig documents and whole archives from files.';

    public function handle(ImportFile $import, ImportArchive $archives): int
    {
        foreach ((array) $this->argument('file') as $file) {
            $file = is_string($file) ? $file : '';
            try {
                $this->line("$file: ".(self::start($file) === self::ZIP ? $this->archive($archives, $file) : $import(self::text($file), (bool) $this->option('replace'))));
            } catch (DocumentError|\PDOException|\RuntimeException $error) {
                $this->error("$file: ".Told::sentence($error));

                return 2;
            }
        }

        return self::SUCCESS;
    }

    private function archive(ImportArchive $archives, string $file): string
    {
        $report = $archives->import($file, (bool) $this->option('replace'), ArchiveBounds::commandLine(), Told::progress($this->output));
        $this->output->getErrorStyle()->write("\n");
        $count = static fn (mixed $value): int => is_array($value) ? count($value) : (is_int($value) ? $value : 0);
        $cards = is_array($report['cards']) ? $report['cards'] : [];

        return sprintf(
            '%d rigs, %d cards added, %d replaced, %d formats, %d attached files, %d captures, %d names%s',
            $count($report['rigs']), $count($cards['added'] ?? []), $count($cards['replaced'] ?? []), $count($report['formats']), $count($report['attachments']), $count($report['captures']), $count($report['names']),
            $count($report['names_left_out']) === 0 ? '' : ", {$count($report['names_left_out'])} names left out: what they name is not on this bench, or has as many as it may",
        );
    }

    private static function start(string $file): string
    {
        return is_file($file) ? (string) @file_get_contents($file, false, null, 0, strlen(self::ZIP)) : throw new DocumentError('no_such_file', 'There is no such file, or it cannot be read.');
    }

    private static function text(string $file): string
    {
        $text = @file_get_contents($file);

        return $text === false ? throw new DocumentError('no_such_file', 'There is no such file, or it cannot be read.') : $text;
    }
}
