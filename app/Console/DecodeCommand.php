<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Linguator\Core\Verb\DecodeVerb;
use Linguator\Core\Verb\Services;
use Symfony\Component\Console\Output\OutputInterface;

/** `linguator:decode FILE`: a capture in, one JSON document out; status 2 for bad input. */
final class DecodeCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:decode {file=- : A capture, or - for standard input}
        {--kind= : auto, hex, bin, csv, vcd or wav}
        {--as= : auto, ppm, pwm or the id of a format}
        {--card= : A file with a format card}
        {--line= : A wire by name or position from 1; left or right}
        {--frames= : How many of the first frames are given whole}
        {--max-rate= : Most frames a second that the reader takes, Hz}';

    /** @var string */
    protected $description = '';

    public function __construct(private readonly Services $services)
    {
        parent::__construct();
        $this->setDescription(DecodeVerb::summary());
    }

    public function handle(): int
    {
        $file = $this->argument('file');
        $options = array_filter(array_intersect_key($this->options(), array_flip(DecodeRun::OPTIONS)), is_string(...));

        return (new DecodeRun(base_path(), is_string($file) ? $file : '-', $options, $this->services))(fn (string $text) => $this->output->write($text, false, OutputInterface::OUTPUT_RAW));
    }
}
