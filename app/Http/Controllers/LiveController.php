<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadCapture;
use App\Http\Answer;
use App\Http\RequestDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Linguator\Core\Channel\AxisRead;
use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Signal\CaptureDesk;
use Linguator\Core\Signal\Live;
use Linguator\Core\Signal\LiveSound;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Listens to bytes as they come: from a port on this machine, or as the browser's serial interface hands them on. */
final readonly class LiveController
{
    /** More would take the workers away from everything else. */
    private const LISTENERS = 2;

    private const LONGEST_S = 300;

    private const TELL_EVERY_S = 0.04;

    private const WAIT_US = 20_000;

    private const CONNECT_S = 2.0;

    private const CHUNK_BYTES = 8192;

    private const WINDOW_BYTES = 16_384;

    /** A fifth of a second of the finest input. */
    private const MOST_SAMPLES = 38_400;

    /** Samples a second that a sound input may have. */
    private const RATES = [8000, 192_000];

    public function __construct(private Formats $formats, private ReadCapture $read)
    {
    }

    /** Lines of JSON, each the newest values, until the page leaves, the sender stops, or five minutes have passed. */
    public function tcp(Request $request): StreamedResponse
    {
        $document = RequestDocument::of($request);
        $port = $document->int('port');
        if ($port < 1 || $port > 65535) {
            throw DocumentError::at('port', "Found port $port; expected 1 to 65535.");
        }
        $live = new Live($this->cards($document->text('format', '')));
        $slot = self::slot();
        $socket = @stream_socket_client("tcp://127.0.0.1:$port", $code, $message, self::CONNECT_S);
        if ($socket === false) {
            throw DocumentError::at('port', "Nothing listens on port $port of this machine; start a stand-in (php artisan linguator:stand-in --port=$port) or the serial-to-network adapter.", 'nobody_there');
        }

        return new StreamedResponse(static function () use ($socket, $live, $slot): void {
            self::listen($socket, $live);
            fclose($slot);
        }, 200, ['Content-Type' => 'application/x-ndjson', 'X-Accel-Buffering' => 'no']);
    }

    /** The newest bytes of a serial adapter, as hex: each time the last stretch of them, so that nothing has to be remembered here. */
    public function bytes(Request $request): JsonResponse
    {
        $document = RequestDocument::of($request);
        $hex = $document->text('hex');
        if (strlen($hex) % 2 !== 0 || ! ctype_xdigit($hex) || strlen($hex) > 2 * self::WINDOW_BYTES) {
            throw DocumentError::at('hex', 'Expected pairs of hex digits, at most '.self::WINDOW_BYTES.' bytes.');
        }
        $live = new Live($this->cards($document->text('format', '')));
        $live->push((string) hex2bin($hex));
        $live->finish();

        return Answer::json($live->snapshot());
    }

    /** The newest stretch of what a sound input hears, as hex of 16-bit samples of one side, low byte first. */
    public function sound(Request $request, CaptureDesk $desk): JsonResponse
    {
        $document = RequestDocument::of($request);
        [$hex, $rate] = [$document->text('hex'), $document->int('rate')];
        if (strlen($hex) % 4 !== 0 || ! ctype_xdigit($hex) || strlen($hex) > 4 * self::MOST_SAMPLES) {
            throw DocumentError::at('hex', 'Expected hex of 16-bit samples, at most '.self::MOST_SAMPLES.' of them.');
        }
        if ($rate < self::RATES[0] || $rate > self::RATES[1]) {
            throw DocumentError::at('rate', "Found $rate samples a second; expected ".self::RATES[0].' to '.self::RATES[1].'.');
        }

        return Answer::json((new LiveSound($desk, $rate))->heard((string) hex2bin($hex)));
    }

    /** The axes of a game controller as they went: how far, where they rest, and whether the handset is calibrated. */
    public function axes(Request $request, Schemas $schemas): JsonResponse
    {
        $told = new Node($schemas->check(RequestDocument::of($request)->whole(), 'axes-question.schema.json'));
        $rows = $told->nodes('log');

        return Answer::json(['axes' => AxisRead::all(ChannelLog::fromRows(array_map(static fn (Node $row): float => $row->number('t_ms'), $rows), array_map(static fn (Node $row): array => $row->numbersOrNull('pct') ?? [], $rows)))]);
    }

    /** @param  resource  $socket */
    private static function listen(mixed $socket, Live $live): void
    {
        stream_set_blocking($socket, false);
        while (ob_get_level() > 0) {
            ob_end_flush();
        }
        [$begun, $told] = [microtime(true), 0.0];
        while (microtime(true) - $begun < self::LONGEST_S && ! feof($socket) && connection_aborted() === 0) {
            [$read, $none] = [[$socket], null];
            if (stream_select($read, $none, $none, 0, self::WAIT_US) > 0) {
                $live->push((string) fread($socket, self::CHUNK_BYTES), round((microtime(true) - $begun) * 1000, 1));
            }
            if (microtime(true) - $told >= self::TELL_EVERY_S) {
                $told = microtime(true);
                self::tell($live->snapshot());
            }
        }
        self::tell((object) (['ended' => feof($socket) ? 'sender' : 'time'] + get_object_vars($live->snapshot())));
        fclose($socket);
    }

    private static function tell(\stdClass $snapshot): void
    {
        echo Json::compact($snapshot)."\n";
        flush();
    }

    /** @return list<FormatCard> */
    private function cards(string $format): array
    {
        return $format === '' ? $this->formats->all() : [$this->read->card($format)];
    }

    /** @return resource One of the places for listeners, held while it is open. */
    private static function slot(): mixed
    {
        File::ensureDirectoryExists(config()->string('linguator.captures'));
        for ($k = 0; $k < self::LISTENERS; $k++) {
            $slot = fopen(config()->string('linguator.captures')."/.listener-$k", 'c');
            if ($slot !== false && flock($slot, LOCK_EX | LOCK_NB)) {
                return $slot;
            }
        }
        throw new DocumentError('busy', 'Two pages listen already; stop one of them first.');
    }
}
