<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Format;
use Illuminate\Console\Command;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\DecodeVerb;
use Symfony\Component\Console\Output\OutputInterface;

/** `linguator:decode FILE`: a capture in, one JSON document out; status 2 for bad input. */
final class DecodeCommand extends Command
{
    private const BAD_INPUT = 2;

    /** Above this the just-in-time compiler earns its start. */
    private const LARGE_BYTES = 1_000_000;

    /** Set for the second start: where the compiler stays off all the same (a debugger or a coverage tool keeps it off), there is no third. */
    private const STARTED_AGAIN = 'LINGUATOR_STARTED_AGAIN';

    /** Options that are numbers in the verb's document. */
    private const NUMBERS = ['frames', 'max_rate'];

    /** @var string */
    protected $signature = 'linguator:decode {file=- : A capture, or - for standard input}
        {--kind= : auto, hex, bin, csv, vcd or wav}
        {--as= : auto, ppm, pwm or the id of a format}
        {--card= : A file with a format card}
        {--line= : A wire by name or position from 1; left or right}
        {--frames= : How many of the first frames are given whole}
        {--max-rate= : Most frames a second that the reader takes, Hz}';

    /** @var string */
    protected $description = DecodeVerb::SUMMARY;

    public function handle(Schemas $schemas): int
    {
        try {
            $options = $this->optionsDocument();
            $stream = $this->stream();
            if ((fstat($stream)['size'] ?? 0) > self::LARGE_BYTES && ! self::isCompiled()) {
                return $this->compiled($stream);
            }
            $answer = (new DecodeVerb($schemas, Format::own($schemas)))(new Source($stream), $options);
            $this->output->write(Json::pretty($answer), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        } catch (DocumentError $error) {
            $this->output->write(Json::pretty($error->toArray()), false, OutputInterface::OUTPUT_RAW);

            return self::BAD_INPUT;
        }
    }

    /** @return resource That can be read more than once. */
    private function stream(): mixed
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '-';
        if ($file !== '-') {
            $stream = is_file($file) ? @fopen($file, 'rb') : false;

            return $stream === false ? throw new DocumentError('no_such_file', "The file \"$file\" cannot be read.", 'file') : $stream;
        }
        $stream = tmpfile();
        if ($stream === false) {
            throw new DocumentError('no_room', 'The capture cannot be kept while it is read: there is no room for a temporary file.', 'file');
        }
        stream_copy_to_stream(STDIN, $stream);
        rewind($stream);

        return $stream;
    }

    private function optionsDocument(): \stdClass
    {
        $document = new \stdClass;
        foreach (['kind', 'as', 'line', 'frames', 'max_rate'] as $key) {
            $value = $this->option(strtr($key, '_', '-'));
            if (is_string($value)) {
                $document->{$key} = in_array($key, self::NUMBERS, true) && is_numeric($value) ? $value + 0 : $value;
            }
        }
        $card = FormatCardFile::read($this->option('card'));
        if ($card !== null) {
            $document->card = $card;
        }

        return $document;
    }

    /** Or cannot be. */
    private static function isCompiled(): bool
    {
        $status = function_exists('opcache_get_status') ? opcache_get_status(false) : false;

        return getenv(self::STARTED_AGAIN) !== false || ! extension_loaded('Zend OPcache') || (is_array($status) && ($status['jit']['on'] ?? false) === true);
    }

    /**
     * The same command once more, compiled: several times as quick on large captures.
     *
     * @param  resource  $stream
     */
    private function compiled(mixed $stream): int
    {
        rewind($stream);
        $arguments = array_slice((array) ($_SERVER['argv'] ?? []), 1);
        $file = $this->argument('file');
        $arguments = array_map(static fn (mixed $argument): string => $argument === $file ? '-' : (string) $argument, $arguments);
        if ($file === '-' && ! in_array('-', $arguments, true)) {
            $arguments[] = '-';
        }
        $process = proc_open(
            [PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', base_path('artisan'), ...array_values($arguments)],
            [$stream, STDOUT, STDERR],
            $pipes,
            null,
            [self::STARTED_AGAIN => '1'] + getenv(),
        );

        return $process === false ? self::FAILURE : proc_close($process);
    }
}
