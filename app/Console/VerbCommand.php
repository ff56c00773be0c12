<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\AskVerb;
use Illuminate\Console\Command;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Symfony\Component\Console\Output\OutputInterface;

/** `linguator:<verb> [FILE]`: JSON from a file or standard input, one JSON document out; status 2 for bad input. */
final class VerbCommand extends Command
{
    private const BAD_INPUT = 2;

    /** @var string */
    protected $signature = 'linguator:verb {file=- : A JSON file, or - for standard input}';

    public function __construct(private readonly AskVerb $ask, private readonly string $verb, string $summary)
    {
        $this->signature = "linguator:$verb {file=- : A JSON file, or - for standard input}";
        $this->description = $summary;
        parent::__construct();
    }

    public function handle(): int
    {
        try {
            $this->print(($this->ask)($this->verb, $this->read()));

            return self::SUCCESS;
        } catch (DocumentError $error) {
            $this->print($error->toArray());

            return self::BAD_INPUT;
        }
    }

    private function read(): string
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '-';
        $text = $file === '-' ? stream_get_contents(STDIN) : (is_file($file) ? file_get_contents($file) : false);

        return $text === false ? throw new DocumentError('no_such_file', "The file \"$file\" cannot be read.") : $text;
    }

    /** @param  array<string, mixed>  $document */
    private function print(array $document): void
    {
        $this->output->write(Json::pretty($document), false, OutputInterface::OUTPUT_RAW);
    }
}
