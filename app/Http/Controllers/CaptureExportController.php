<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadCapture;
use App\Http\RequestDocument;
use App\Models\Capture;
use Illuminate\Http\Request;
use Linguator\Core\Capture\EdgeText;
use Linguator\Core\Capture\WavWriter;
use Linguator\Core\Document\Csv;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Plain;
use Linguator\Core\Signal\DecodeAnswer;
use Linguator\Core\Signal\Recognised;
use Linguator\Core\Signal\Reencoder;
use Linguator\Core\Signal\ValueLog;
use Linguator\Core\Signal\ValueRow;
use Linguator\Core\Signal\ValueRows;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A capture's values as a table or a document, or as a signal again, in its own format or another one. */
final readonly class CaptureExportController
{
    private const TYPES = ['csv' => 'text/csv', 'json' => 'application/json', 'vcd' => 'text/plain', 'edges' => 'text/csv', 'bin' => 'application/octet-stream', 'wav' => 'audio/wav'];

    private const MOST_ROWS = 100_000;

    public function __construct(private ReadCapture $read)
    {
    }

    public function __invoke(Request $request, Capture $capture): StreamedResponse
    {
        $document = RequestDocument::of($request);
        $as = $document->text('as');
        if (! isset(self::TYPES[$as])) {
            throw DocumentError::at('as', 'Expected one of '.implode(', ', array_keys(self::TYPES)).'.');
        }
        $decoding = $this->read->values($capture, (object) $document->map('options'));
        $rows = $this->read->series($capture, $decoding, self::MOST_ROWS);
        $chunks = match ($as) {
            'csv' => self::table($rows),
            'json' => self::document($decoding, $rows),
            default => $this->signal($as, $document->text('format', ''), $decoding, $rows),
        };
        $name = 'capture-'.$capture->id.'.'.($as === 'edges' ? 'csv' : $as);

        $begun = self::begun($chunks);

        return new StreamedResponse(static function () use ($begun): void {
            foreach ($begun as $chunk) {
                echo $chunk;
            }
        }, 200, ['Content-Type' => self::TYPES[$as], 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    /**
     * Made up to its first piece: what cannot be made at all is said before anything is sent.
     *
     * @param  iterable<string>  $chunks
     * @return \Generator<int, string>
     */
    private static function begun(iterable $chunks): \Generator
    {
        $all = (static function () use ($chunks): \Generator {
            foreach ($chunks as $chunk) {
                yield $chunk;
            }
        })();
        $all->valid();

        return $all;
    }

    /**
     * @return \Generator<int, string>
     */
    private static function table(ValueRows $rows): \Generator
    {
        $channels = $rows->channels();
        yield Csv::line(['t_ms', ...array_map(static fn (int $channel): string => "ch$channel", $channels)]);
        foreach ($rows as $row) {
            yield Csv::line([round($row->ms, 4), ...array_map(static fn (int $channel): string|float => $row->us[$channel] ?? '', $channels)]);
        }
    }

    /**
     * @return \Generator<int, string>
     */
    private static function document(Recognised|ValueLog $decoding, ValueRows $rows): \Generator
    {
        $log = array_map(static fn (ValueRow $row): array => ['t_ms' => round($row->ms, 4), 'us' => array_values($row->us)], iterator_to_array($rows, false));
        yield Json::pretty(Plain::object(new DecodeAnswer($decoding)) + ['log' => $log]);
    }

    /**
     * @return iterable<string>
     */
    private function signal(string $as, string $format, Recognised|ValueLog $decoding, ValueRows $rows): iterable
    {
        $card = match (true) {
            $format === 'ppm' || $as === 'wav' || ($format === '' && $decoding->carrier()->card === null) => null,
            $format === '' => $decoding->carrier()->card,
            default => $this->read->card($format),
        };
        if ($as === 'wav' && $format !== '' && $format !== 'ppm') {
            throw DocumentError::at('as', 'A sound card is too slow for serial signals; expected vcd, edges or bin.');
        }
        $signal = new Reencoder($card);
        if ($as === 'wav' && $signal->lastsUs($rows) > WavWriter::LONGEST_US) {
            throw DocumentError::at('as', sprintf('This capture lasts %.0f s; expected at most %d s of a recording. vcd and edges take any length.', $signal->lastsUs($rows) / 1e6, WavWriter::LONGEST_US / 1e6), 'too_large');
        }

        return match ($as) {
            'bin' => self::bytes($signal->bytes($rows)),
            'wav' => WavWriter::write($signal->idle(), $signal->edges($rows), $signal->lastsUs($rows)),
            'vcd' => EdgeText::vcd($signal->idle(), $signal->edges($rows)),
            default => EdgeText::csv($signal->idle(), $signal->edges($rows)),
        };
    }

    /**
     * @param  iterable<array{float, string}>  $frames
     * @return \Generator<int, string>
     */
    private static function bytes(iterable $frames): \Generator
    {
        foreach ($frames as [, $bytes]) {
            yield $bytes;
        }
    }
}
