<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use App\Models\Rig;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Exceptions\Handler;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Tests\Spoil;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Asks a demo bench what nobody should ask, at its outermost edge, as a request. Whatever comes must be answered with a document or a sentence:
 * no uncaught error, no answer after more than five seconds, nothing in more than 128 MB.
 */
final class Fuzz
{
    /** Cases of each kind in a hundred. */
    public const SHARES = ['verbs' => 45, 'cards' => 14, 'formats' => 10, 'live' => 10, 'rigs' => 10, 'captures' => 8, 'archives' => 3];

    private const LONGEST_S = 5.0;

    private const MOST_BYTES = 128_000_000;

    private const SOUND = [200, 201, 404, 405, 409, 413, 415, 422];

    /** After so many cases the bench is as it was. */
    private const RESET_AFTER = 40;

    public int $cases = 0;

    public float $slowestS = 0;

    public int $largestBytes = 0;

    /** @var list<string> What must not be, with the case it came from. */
    public array $faults = [];

    private readonly Cases $given;

    private string $case = '';

    /** What the last error of ours was. */
    private string $reported = '';

    public function __construct(private readonly Kernel $kernel, private readonly int $seed)
    {
        $this->given = new Cases;
        $handler = app(ExceptionHandler::class);
        assert($handler instanceof Handler);
        $handler->reportable(function (\Throwable $error): bool {
            $this->reported = $error::class.': '.$error->getMessage().' at '.$error->getFile().':'.$error->getLine();

            return false;
        });
    }

    public function run(string $kind, int $count, int $from = 0): void
    {
        $run = match ($kind) {
            'verbs' => $this->verb(...), 'cards' => $this->card(...), 'formats' => $this->format(...), 'live' => $this->live(...),
            'rigs' => $this->rig(...), 'captures' => $this->capture(...), 'archives' => $this->archive(...),
        };
        DB::beginTransaction();
        for ($k = $from; $k < $from + $count; $k++) {
            mt_srand($this->seed * 1_000_003 + crc32($kind) % 1000 + $k * 7919);
            $this->case = "$kind $k";
            $this->cases++;
            $run();
            if ($k % self::RESET_AFTER === 0) {
                DB::rollBack();
                DB::beginTransaction();
            }
        }
        DB::rollBack();
    }

    private function verb(): void
    {
        [$verb, $document] = $this->given->question();
        $text = Json::compact(mt_rand(0, 9) === 0 ? $document : Spoil::much($document));
        $this->ask('POST', $verb, mt_rand(0, 5) === 0 ? Spoil::text($text) : $text);
    }

    private function card(): void
    {
        $card = $this->given->card();
        if (mt_rand(0, 1) === 0) {
            $this->ask('POST', 'shelf', Json::compact((object) ['card' => Spoil::much($card)]));
        } else {
            $this->ask('POST', 'shelf/import', Json::compact((object) ['text' => $this->clean(Spoil::text(mt_rand(0, 1) === 0 ? Yaml::dump($card) : Json::pretty($card))), 'replace' => true]));
        }
    }

    private function format(): void
    {
        $card = $this->given->formatCard();
        match (mt_rand(0, 2)) {
            0 => $this->ask('POST', 'formats/import', Json::compact((object) ['text' => $this->clean(mt_rand(0, 1) === 0 ? Spoil::text(Yaml::dump($card)) : Json::pretty(Spoil::much($card)))])),
            1 => $this->ask('POST', 'encode', Json::compact((object) ['card' => Spoil::much($card), 'frames' => [(object) ['us' => [1500, 1000, 2000]]]])),
            default => $this->upload('decode', 'capture', $this->given->capture()[1], ['card' => Json::compact(Spoil::value($card)), 'as' => 'auto']),
        };
    }

    private function live(): void
    {
        $this->ask('POST', 'live/bytes', Json::compact((object) ['hex' => bin2hex(substr(Spoil::text($this->given->bytes()), 0, 16_000)), 'format' => ['', '', 's100i', 's420c', 's115f', 'nope'][mt_rand(0, 5)]]));
    }

    private function rig(): void
    {
        $slug = ['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling'][mt_rand(0, 4)];
        $rig = Rig::query()->where('slug', $slug)->first();
        if ($rig === null) {
            return;
        }
        $revision = mt_rand(0, 19) === 0 ? Spoil::odd() : $rig->revision;
        for ($k = mt_rand(1, 3); $k > 0; $k--) {
            [$method, $address, $body] = $this->given->step($rig);
            $this->ask($method, $address, $body === null ? null : Json::compact((object) (['revision' => $revision] + (array) (mt_rand(0, 2) === 0 ? $body : Spoil::value($body)))));
            $revision = Rig::query()->whereKey($rig->id)->value('revision');
        }
        $last = max(0, $rig->lastPosition());
        match (mt_rand(0, 5)) {
            0 => $this->ask('POST', "rigs/$slug/undo", Json::compact((object) ['revision' => $revision])),
            1 => $this->ask('POST', "rigs/$slug/undo", Json::compact((object) ['revision' => $revision, 'entry' => mt_rand(-1, $last + 1)])),
            2 => $this->ask('GET', "rigs/$slug/at/".mt_rand(0, $last + 1)),
            3 => $this->ask('GET', "rigs/$slug/compare?then=".mt_rand(-1, $last).'&now='.mt_rand(-1, $last + 1)),
            4 => $this->ask('POST', 'rigs/import', Json::compact((object) ['text' => $this->clean(mt_rand(0, 1) === 0 ? Spoil::text($rig->text()) : Json::pretty(Spoil::much($rig->whole()->canonical())))])),
            default => $this->ask('GET', "rigs/$slug.".['json', 'yaml'][mt_rand(0, 1)]),
        };
        $this->ask('GET', mt_rand(0, 3) === 0 ? 'rigs' : "rigs/$slug");
    }

    private function capture(): void
    {
        [$name, $bytes] = $this->given->capture();
        $id = $this->upload('captures', 'capture', mt_rand(0, 9) === 0 ? $bytes : Spoil::text($bytes), [], $name)['id'] ?? null;
        if (! is_int($id)) {
            return;
        }
        $options = (object) array_filter(['as' => ['', 'auto', 's100i', 'ppm', 'nope'][mt_rand(0, 4)], 'line' => mt_rand(0, 9) === 0 ? Spoil::odd() : null, 'kind' => mt_rand(0, 9) === 0 ? ['hex', 'bin', 'csv', 'vcd', 'wav'][mt_rand(0, 4)] : null], static fn (mixed $value): bool => $value !== null && $value !== '');
        $this->ask('POST', "captures/$id/decode", Json::compact((object) ['options' => $options]));
        [$from, $to] = [[0, -1e300, -5, 1e12, mt_rand(0, 100_000)][mt_rand(0, 4)], [1e300, 0, 1e5, 1e13, mt_rand(0, 1_000_000)][mt_rand(0, 4)]];
        match (mt_rand(0, 3)) {
            0 => $this->ask('POST', "captures/$id/frame", Json::compact((object) ['options' => $options, 'index' => mt_rand(-1, 400)])),
            1 => $this->ask('POST', 'captures/compare', Json::compact((object) ['a' => (object) ['id' => $id], 'b' => (object) ['id' => mt_rand(1, 3)]])),
            default => $this->ask('POST', "captures/$id/window", Json::compact((object) ['options' => $options, 'from_us' => $from, 'to_us' => $to])),
        };
        $this->ask('POST', "captures/$id/export", Json::compact((object) ['options' => $options, 'as' => ['csv', 'json', 'vcd', 'edges', 'bin', 'wav'][mt_rand(0, 5)], 'format' => ['', 'ppm', 's100i', 's115t'][mt_rand(0, 3)]]));
        @unlink((string) DB::table('captures')->where('id', $id)->selectRaw("? || '/' || id || '-' || substr(sha256, 1, 16) as path", [config('linguator.captures')])->value('path'));
    }

    private function archive(): void
    {
        $file = $this->given->archive(mt_rand(0, 2) === 0);
        foreach (['preview', 'import'] as $what) {
            $this->upload("archive/$what", 'file', (string) file_get_contents($file), ['replace' => (string) mt_rand(0, 1)], 'bench.zip');
        }
        unlink($file);
    }

    /** JSON takes no bytes that are no text. */
    private function clean(string $text): string
    {
        return mb_scrub($text, 'UTF-8');
    }

    /** @return array<mixed> The answer, if it is a document. */
    private function ask(string $method, string $address, ?string $body = null): array
    {
        return $this->handle(Request::create("http://127.0.0.1/api/v1/$address", $method, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body));
    }

    /**
     * @param  array<string, string>  $fields
     * @return array<mixed>
     */
    private function upload(string $address, string $field, string $content, array $fields = [], string $name = 'file'): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        file_put_contents($path, $content);
        $answer = $this->handle(Request::create("http://127.0.0.1/api/v1/$address", 'POST', $fields, files: [$field => new UploadedFile($path, $name, null, null, true)], server: ['CONTENT_TYPE' => 'multipart/form-data', 'HTTP_ACCEPT' => 'application/json']));
        @unlink($path);

        return $answer;
    }

    /** @return array<mixed> */
    private function handle(Request $request): array
    {
        $what = $request->method().' '.$request->path();
        $this->reported = '';
        memory_reset_peak_usage();
        [$before, $begin] = [memory_get_usage(), hrtime(true)];
        try {
            $answer = $this->kernel->handle($request);
            $text = self::content($answer);
            $status = $answer->getStatusCode();
        } catch (\Throwable $error) {
            [$text, $status] = [$error::class.': '.$error->getMessage().' at '.$error->getFile().':'.$error->getLine(), 0];
        }
        $this->slowestS = max($this->slowestS, $seconds = (hrtime(true) - $begin) / 1e9);
        $this->largestBytes = max($this->largestBytes, $bytes = memory_get_peak_usage() - $before);
        $document = json_decode($text, true);
        $isTold = $status < 400 || (is_string($document['error']['message'] ?? null) && $document['error']['message'] !== '');
        if (! in_array($status, self::SOUND, true) || ! $isTold || $seconds > self::LONGEST_S || $bytes > self::MOST_BYTES) {
            $this->faults[] = sprintf("%s: %s → %d, %.1f s, %.0f MB: %s\n    asked with %s", $this->case, $what, $status, $seconds, $bytes / 1e6, substr($this->reported.' '.$text, 0, 600), substr($request->getContent(), 0, 600));
        }

        return is_array($document) ? $document : [];
    }

    private static function content(\Symfony\Component\HttpFoundation\Response $answer): string
    {
        if ($answer instanceof StreamedResponse) {
            // Gone through to its end, kept only at its begin.
            $kept = '';
            ob_start(static function (string $chunk) use (&$kept): string {
                $kept .= strlen($kept) < 100_000 ? $chunk : '';

                return '';
            }, 65_536);
            try {
                $answer->sendContent();
            } finally {
                ob_end_clean();
            }

            return $kept;
        }

        return $answer instanceof BinaryFileResponse ? '' : (string) $answer->getContent();
    }
}
