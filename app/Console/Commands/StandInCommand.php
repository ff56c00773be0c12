<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\FormatCardFile;
use App\Models\Format;
use Illuminate\Console\Command;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandIn;
use Linguator\Core\StandIn\StandInOptions;
use Symfony\Component\Console\Output\OutputInterface;

/** A simulated receiver: into a file, to standard output, or on a port of this machine in real time, as a serial-to-network adapter would. */
final class StandInCommand extends Command
{
    private const BAD_INPUT = 2;

    /** Nobody connected for so long: wait anew. */
    private const WAIT_S = 3600;

    private const NUMBERS = ['channels', 'seconds', 'period_ms', 'baud', 'dropped', 'damaged', 'jitter_us', 'failsafe_after_s', 'stuck_after_s', 'seed'];

    /** @var string */
    protected $signature = 'linguator:stand-in {file=- : Where to write to, or - for standard output}
        {--format= : ppm, pwm or the id of a serial format; s100i unless told}
        {--card= : A file with a format card, in place of --format}
        {--kind= : hex, bin, csv, vcd or wav; told by the file\'s ending unless given}
        {--port= : Send on this port of 127.0.0.1 in real time instead, to whoever connects}
        {--channels=} {--seconds=} {--period-ms=} {--baud=} {--inverted : Upside down}
        {--dropped= : Share of frames left out} {--damaged= : Share of frames with a wrong bit} {--jitter-us=} {--failsafe-after-s=} {--stuck-after-s=} {--seed=}';

    /** @var string */
    protected $description = 'A simulated receiver that sends any format with moving sticks, and faults on request.';

    public function handle(Schemas $schemas): int
    {
        try {
            $card = $this->card($schemas);
            $options = StandInOptions::of($this->document($card), $schemas, $card === null ? Format::own($schemas) : [$card]);
            $port = $this->option('port');

            return is_string($port) ? $this->serve(self::port($port), $options) : $this->write($options);
        } catch (DocumentError $error) {
            $this->output->write(Json::pretty($error->told()), false, OutputInterface::OUTPUT_RAW);

            return self::BAD_INPUT;
        }
    }

    private static function port(string $told): int
    {
        return preg_match('/^\d{1,5}$/D', $told) === 1 && (int) $told >= 1 && (int) $told <= 65535
            ? (int) $told
            : throw DocumentError::at('port', 'Found '.Excerpt::of($told).'; expected a whole number from 1 to 65535.');
    }

    private function card(Schemas $schemas): ?FormatCard
    {
        $document = FormatCardFile::read($this->option('card'));
        try {
            return $document === null ? null : FormatCard::of($document, $schemas);
        } catch (DocumentError $error) {
            throw $error->inside('card');
        }
    }

    private function document(?FormatCard $card): \stdClass
    {
        $document = (object) ['format' => $card->id ?? $this->option('format') ?? 's100i'];
        foreach (self::NUMBERS as $key) {
            $value = $this->option(strtr($key, '_', '-'));
            if (is_string($value)) {
                $document->{$key} = is_numeric($value) ? $value + 0 : $value;
            }
        }
        if ($this->option('inverted') === true) {
            $document->inverted = true;
        }

        return $document;
    }

    private function write(StandInOptions $options): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '-';
        $told = $this->option('kind');
        $told = is_string($told) ? $told : ($file === '-' ? ($options->card === null ? 'csv' : 'bin') : pathinfo($file, PATHINFO_EXTENSION));
        $kind = CaptureKind::tryFrom($told) ?? throw DocumentError::at('kind', "Found \"$told\"; expected hex, bin, csv, vcd or wav.");
        $chunks = Recording::of($options, $kind);
        $stream = $file === '-' ? STDOUT : @fopen($file, 'wb');
        if ($stream === false) {
            throw DocumentError::at('file', "The file \"$file\" cannot be written.", 'no_such_file');
        }
        foreach ($chunks as $chunk) {
            if (@fwrite($stream, $chunk) !== strlen($chunk)) {
                // Who reads no further, as `head` does, has had what he wanted.
                return str_contains(error_get_last()['message'] ?? '', 'Broken pipe') ? self::SUCCESS : throw DocumentError::at('file', 'The file cannot be written to its end: there is no room for it.', 'no_room');
            }
        }

        return self::SUCCESS;
    }

    /** To one listener after the other, each from the begin. */
    private function serve(int $port, StandInOptions $options): int
    {
        if ($options->card === null) {
            throw DocumentError::at('format', 'A serial adapter hands on bytes; expected a serial format, not pulses.');
        }
        $server = @stream_socket_server("tcp://127.0.0.1:$port", $code, $message);
        if ($server === false) {
            throw DocumentError::at('port', "Port $port of this machine cannot be taken: $message.", 'port_taken');
        }
        $this->output->getErrorStyle()->writeln("Sending $options->format on 127.0.0.1:$port to whoever connects (Ctrl-C stops it).");
        while (is_resource($server)) {
            $listener = @stream_socket_accept($server, self::WAIT_S);
            if ($listener !== false) {
                self::send($listener, $options);
            }
        }

        return self::SUCCESS;
    }

    /** @param  resource  $listener */
    private static function send(mixed $listener, StandInOptions $options): void
    {
        $begun = microtime(true);
        foreach ((new StandIn($options))->received() as [$us, $bytes]) {
            $wait = $us / 1e6 - (microtime(true) - $begun);
            if ($wait > 0) {
                usleep((int) ($wait * 1e6));
            }
            if (@fwrite($listener, $bytes) === false) {
                break;
            }
        }
        fclose($listener);
    }
}
