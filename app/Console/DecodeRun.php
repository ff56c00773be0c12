<?php

declare(strict_types=1);

namespace App\Console;

use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\Services;
use Linguator\Core\Verb\Verbs;

/** A capture decoded on the command line; a large one in a second process with the just-in-time compiler. No part of the framework. */
final readonly class DecodeRun
{
    /** Above this the just-in-time compiler earns its start. */
    private const LARGE_BYTES = 1_000_000;

    /** Set for the second start: where the compiler stays off all the same (a debugger or a coverage tool keeps it off), there is no third. */
    private const STARTED_AGAIN = 'LINGUATOR_STARTED_AGAIN';

    /** Options that are numbers in the verb's document. */
    private const NUMBERS = ['frames', 'max_rate'];

    /** As on the command line. */
    public const OPTIONS = ['kind', 'as', 'card', 'line', 'frames', 'max-rate'];

    /**
     * @param  string  $file  Or `-`, standard input.
     * @param  array<string, string>  $options
     */
    public function __construct(private string $root, private string $file, private array $options, private Services $services)
    {
    }

    /**
     * @param  (callable(string): void)|null  $write  Null: to standard output.
     * @return int The exit status: 0, or 2 for bad input.
     */
    public function __invoke(?callable $write = null): int
    {
        try {
            [$options, $stream] = [$this->document(), $this->stream()];
        } catch (DocumentError $error) {
            return VerbRun::print(static fn (): array => throw $error, $write);
        }
        if ((fstat($stream)['size'] ?? 0) > self::LARGE_BYTES && ! self::isCompiled()) {
            return $this->compiled($stream);
        }

        return VerbRun::print(fn (): array => (new Verbs(new Schemas, $this->services->with(new Source($stream))))->ask(Verbs::DECODE, $options), $write);
    }

    /** @return resource That can be read more than once. */
    private function stream(): mixed
    {
        if ($this->file !== '-') {
            $stream = is_file($this->file) ? @fopen($this->file, 'rb') : false;

            return $stream === false ? throw new DocumentError('no_such_file', "The file \"$this->file\" cannot be read.", 'file') : $stream;
        }
        $stream = @tmpfile();
        if ($stream === false || @stream_copy_to_stream(STDIN, $stream) === false) {
            throw new DocumentError('no_room', 'The capture cannot be kept while it is read: there is no room for a temporary file.', 'file');
        }
        rewind($stream);

        return $stream;
    }

    private function document(): \stdClass
    {
        $document = new \stdClass;
        foreach (array_diff(self::OPTIONS, ['card']) as $option) {
            $key = strtr($option, '-', '_');
            $value = $this->options[$option] ?? null;
            if ($value !== null) {
                $document->{$key} = in_array($key, self::NUMBERS, true) && is_numeric($value) ? $value + 0 : $value;
            }
        }
        $card = FormatCardFile::read($this->options['card'] ?? null);
        if ($card !== null) {
            $document->card = $card;
        }

        return $document;
    }

    /** Or cannot be. */
    private static function isCompiled(): bool
    {
        $status = function_exists('opcache_get_status') ? @opcache_get_status(false) : false;

        return getenv(self::STARTED_AGAIN) !== false || ! extension_loaded('Zend OPcache') || (is_array($status) && ($status['jit']['on'] ?? false) === true);
    }

    /**
     * The same command once more, compiled: several times as quick on large captures.
     *
     * @param  resource  $stream
     */
    private function compiled(mixed $stream): int
    {
        $options = array_map(static fn (string $name, string $value): string => "--$name=$value", array_keys($this->options), $this->options);
        $command = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', "$this->root/artisan", 'linguator:decode'];
        if ($this->file !== '-' && function_exists('pcntl_exec')) {
            // In the place of this process: nothing waits, nothing stands in memory twice.
            pcntl_exec(PHP_BINARY, [...$command, $this->file, ...$options], [self::STARTED_AGAIN => '1'] + getenv());
        }
        rewind($stream);
        $process = proc_open([PHP_BINARY, ...$command, '-', ...$options], [$stream, STDOUT, STDERR], $pipes, null, [self::STARTED_AGAIN => '1'] + getenv());

        return $process === false ? VerbRun::BAD_INPUT : proc_close($process);
    }
}
