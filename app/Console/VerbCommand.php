<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Linguator\Core\Verb\Verbs;
use Symfony\Component\Console\Output\OutputInterface;

/** One verb on the command line: reads a JSON document, prints one. The plain call is answered by `Quick`, before the framework starts. */
final class VerbCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:verb {file=- : A JSON file, or - for standard input}';

    public function __construct(private readonly Verbs $verbs, private readonly string $verb, string $summary)
    {
        $this->signature = "linguator:$verb {file=- : A JSON file, or - for standard input}";
        $this->description = $summary;
        parent::__construct();
    }

    public function handle(): int
    {
        $file = $this->argument('file');

        return VerbRun::print(fn (): array => $this->verbs->askText($this->verb, VerbRun::text(is_string($file) ? $file : '-')), fn (string $text) => $this->output->write($text, false, OutputInterface::OUTPUT_RAW));
    }
}
