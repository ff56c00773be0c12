<?php

declare(strict_types=1);

use App\Actions\DecodeProgress;
use App\Http\CaptureUpload;
use App\Models\Capture;
use App\Models\Format;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use Linguator\Core\Document\DocumentError;

/** Six channels of words behind a header of two bytes. */
const OWN_FORMAT = "id: mine\nname: Mine\nline: {baud: 57600, parity: none, stop_bits: 1, inverted: false}\nchannels: {min: 6, max: 6}\nscale: {centre: 1500, us: 1, max: 4095}\nparts:\n  - {const: \"5aa5\"}\n  - {channels: words, order: big}\n";

it('tells every kind of trouble with its own code and a sentence, and never a trace', function (int $status, string $code) {
    config(['app.debug' => false]);
    Route::get('/api/v1/trouble', static fn () => abort($status));
    $this->getJson('/api/v1/trouble')->assertStatus($status)->assertJsonPath('error.code', $code)->assertJsonMissingPath('trace');
})->with([[404, 'not_found'], [405, 'method_not_allowed'], [413, 'too_large'], [419, 'page_expired'], [500, 'failed'], [503, 'failed']]);

it('tells a fault of its own as one, without a word of where', function () {
    config(['app.debug' => false]);
    Route::get('/api/v1/fault', static fn () => throw new LogicException('secret place'));
    $answer = $this->getJson('/api/v1/fault')->assertStatus(500)->assertJsonPath('error.code', 'failed');
    expect($answer->content())->not->toContain('secret')->not->toContain('.php');
});

it('reads the fields of a screen with an error at the key', function (string $method, string $address, array $body, string $path) {
    $this->demo();
    $this->json($method, "/api/v1/$address", $body)->assertStatus(422)->assertJsonPath('error.path', $path);
})->with([
    'an intent without a revision' => ['POST', 'rigs/avocet/intents', ['intent' => 'write-note', 'told' => ['text' => 'x']], 'revision'],
    'a revision that is text' => ['POST', 'rigs/avocet/intents', ['revision' => '3', 'intent' => 'write-note', 'told' => ['text' => 'x']], 'revision'],
    'an undo of what was never done' => ['POST', 'rigs/avocet/undo', ['revision' => 1, 'entry' => 9999], 'entry'],
    'an intent nobody knows' => ['POST', 'rigs/avocet/intents', ['revision' => 1, 'intent' => 'fly', 'told' => (object) []], 'intent'],
    'an intent without what was meant' => ['POST', 'rigs/avocet/intents', ['revision' => 1, 'intent' => 'write-note'], 'text'],
    'a use of a capture nobody knows' => ['POST', 'rigs/avocet/evidence', ['capture' => 1, 'use' => 'paint'], 'use'],
    'evidence of no capture' => ['POST', 'rigs/avocet/evidence', ['capture' => 999, 'use' => 'look'], 'capture'],
    'a duplicate without a name' => ['POST', 'rigs/avocet/duplicate', ['receiver' => 'weft-r6'], 'name'],
    'a duplicate with a receiver that is none' => ['POST', 'rigs/avocet/duplicate', ['name' => 'x', 'receiver' => 'nothing'], 'receiver'],
    'a window that ends before it begins' => ['POST', 'captures/1/window', ['from_us' => 10, 'to_us' => 10], 'to_us'],
    'a window without an end' => ['POST', 'captures/1/window', ['from_us' => 10], 'to_us'],
    'a frame that is not there' => ['POST', 'captures/1/frame', ['index' => 10_000_000], 'index'],
    'an export as nothing' => ['POST', 'captures/1/export', ['as' => 'png'], 'as'],
    'a comparison of one' => ['POST', 'captures/compare', ['a' => ['id' => 1]], 'b.id'],
    'a comparison with what is not there' => ['POST', 'captures/compare', ['a' => ['id' => 99], 'b' => ['id' => 1]], 'a.id'],
    'a sample that is none' => ['POST', 'captures', ['sample' => '../../.env'], 'sample'],
    'a stand-in as a picture' => ['POST', 'captures', ['stand_in' => ['format' => 's100i'], 'kind' => 'png'], 'kind'],
    'a stand-in for hours' => ['POST', 'captures', ['stand_in' => ['format' => 's100i', 'seconds' => 1e6]], 'seconds'],
    'live bytes that are no pairs' => ['POST', 'live/bytes', ['hex' => 'abc'], 'hex'],
    'live bytes that are no hex' => ['POST', 'live/bytes', ['hex' => 'zz'], 'hex'],
    'sound that is no hex' => ['POST', 'live/sound', ['hex' => 'zzzz', 'rate' => 48000], 'hex'],
    'half a sample' => ['POST', 'live/sound', ['hex' => '00', 'rate' => 48000], 'hex'],
    'a rate that no input has' => ['POST', 'live/sound', ['hex' => '0000', 'rate' => 10], 'rate'],
    'more sound than a stretch' => ['POST', 'live/sound', ['hex' => str_repeat('0000', 38_401), 'rate' => 48000], 'hex'],
    'a format that is none' => ['POST', 'live/bytes', ['hex' => '00', 'format' => 'nothing'], 'format'],
    'names of nothing' => ['PUT', 'aliases', ['kind' => 'format', 'target' => 'nothing', 'aliases' => []], 'target'],
    'a moment that is none' => ['GET', 'rigs/avocet/compare?then=9999', [], 'entry'],
]);

it('lists and filters the logbook by what was done, on which rig, and when', function () {
    $this->demo();
    $texts = fn (string $query): array => array_column($this->getJson("/api/v1/logbook?$query")->assertOk()->json('entries'), 'text');
    $all = RigEntry::query()->count();
    expect($texts(''))->toHaveCount(min(100, $all))->and($texts('page=2'))->toHaveCount(max(0, $all - 100))->and($texts('page=-4'))->toHaveCount(min(100, $all));
    expect($texts('rig=dunlin&kind=attempt'))->toBe(['Bound: weft-8, at 2 m'])->and($texts('rig=nothing'))->toBe([])->and($texts('kind=nothing'))->toBe([]);
    $day = $this->getJson('/api/v1/logbook?from=2026-11-20&to=2026-11-20')->json('entries');
    expect($day)->not->toBe([])->and(array_unique(array_map(fn (array $one): string => substr($one['at'], 0, 10), $day)))->toBe(['2026-11-20']);
    // Signs that mean something to the database are just signs here.
    expect($texts('q='.urlencode('%')))->toBe([])->and($texts('q=_'))->each->toContain('_')->and($texts('q=Will+not+arm'))->toHaveCount(1);
});

it('writes the logbook as a table and as a document that say the same', function () {
    $this->demo();
    $csv = $this->get('/api/v1/logbook.csv?rig=dunlin')->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="logbook.csv"')->streamedContent();
    $json = json_decode($this->get('/api/v1/logbook.json?rig=dunlin')->streamedContent(), true);
    $lines = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\n", trim($csv)));
    expect($lines[0])->toBe(['at', 'rig', 'kind', 'text'])->and(array_column(array_slice($lines, 1), 3))->toBe(array_column($json, 'text'))
        ->and($json[0])->toHaveKeys(['rig', 'position', 'at', 'kind', 'text', 'entry']);
    expect(json_decode($this->get('/api/v1/logbook.json?rig=nothing')->streamedContent(), true))->toBe([]);
});

it('finds by name, alias, what is printed and what is on the wire', function (string $text, string $kind, string $id) {
    $this->demo();
    $hits = $this->getJson('/api/v1/search?q='.urlencode($text))->assertOk()->json('hits');
    expect(array_map(fn (array $hit): string => "{$hit['kind']} {$hit['id']}", $hits))->toContain("$kind $id");
})->with([
    'a rig' => ['dunl', 'rig', 'dunlin'],
    'a card' => ['Weft R16', 'card', 'weft-r16i'],
    'an alias on a card' => ['the grey one', 'card', 'ostrel-9'],
    'a capture' => ['mudlark-train', 'capture', '1'],
    'a baud' => ['420000', 'format', 's420c'],
]);

it('finds nothing for nothing, and takes any length of question', function () {
    $this->demo();
    // Before anything is typed it offers where one can go, and nothing of the bench.
    expect(array_unique(array_column($this->getJson('/api/v1/search')->assertOk()->json('hits'), 'kind')))->toBe(['place']);
    $this->getJson('/api/v1/search?q='.str_repeat('x', 3000))->assertOk()->assertJsonPath('hits', []);
    expect(array_unique(array_column($this->getJson('/api/v1/search?q[]=x')->assertOk()->json('hits'), 'kind')))->toBe(['place']);
});

it('gives a format of one\'s own back as it was taken, and takes it off', function () {
    $this->postJson('/api/v1/formats/import', ['text' => OWN_FORMAT])->assertStatus(201)->assertJsonPath('id', 'mine');
    $this->postJson('/api/v1/formats/import', ['text' => str_replace('Mine', 'Other', OWN_FORMAT)])->assertStatus(422);
    $this->postJson('/api/v1/formats/import', ['text' => str_replace('Mine', 'Other', OWN_FORMAT), 'replace' => true])->assertStatus(201)->assertJsonPath('name', 'Other');
    expect(json_decode($this->get('/api/v1/formats/mine.json')->assertOk()->content())->name)->toBe('Other');
    $yaml = $this->get('/api/v1/formats/mine.yaml')->assertOk()->assertHeader('Content-Type', 'application/yaml; charset=utf-8')->content();
    expect($this->getJson('/api/v1/formats')->json('own.0.text'))->toBe($yaml);
    $this->get('/api/v1/formats/s100i.json')->assertStatus(422)->assertJsonPath('error.code', 'no_such_format');
    $this->deleteJson('/api/v1/formats/mine')->assertOk()->assertJsonPath('deleted', $yaml);
    expect(Format::query()->count())->toBe(0);
    $this->postJson('/api/v1/formats/import', ['text' => $yaml])->assertStatus(201);
});

it('lets a capture be brought back after a slip, and names one as the sender did', function () {
    $id = $this->postJson('/api/v1/captures', ['text' => "t_ms,ch1\n0,1500\n20,1501\n", 'name' => '../../etc/passwd'])->assertStatus(201)->assertJsonPath('name', 'passwd')->json('id');
    $this->deleteJson("/api/v1/captures/$id")->assertOk()->assertJsonPath('gone', $id);
    expect(array_column($this->getJson('/api/v1/captures')->json('captures'), 'id'))->not->toContain($id);
    $this->postJson("/api/v1/captures/$id/restore")->assertOk();
    expect(array_column($this->getJson('/api/v1/captures')->json('captures'), 'id'))->toContain($id);
    $this->getJson("/api/v1/captures/$id")->assertOk()->assertJsonPath('name', 'passwd');
});

it('hands values on as a table whose numbers are those that were decoded', function () {
    $id = $this->postJson('/api/v1/captures', ['text' => "t_ms,ch1,ch2\n0,1500,1000\n20,1501.5,1000\n40,1502,2000\n"])->json('id');
    $csv = $this->post("/api/v1/captures/$id/export", [], ['Content-Type' => 'application/json'])->status();
    expect($csv)->toBe(422);
    $table = $this->postJson("/api/v1/captures/$id/export", ['as' => 'csv'])->assertOk()->streamedContent();
    expect(array_map(fn (string $line): array => array_map(floatval(...), explode(',', $line)), array_slice(explode("\n", trim($table)), 1)))->toBe([[0.0, 1500.0, 1000.0], [20.0, 1501.5, 1000.0], [40.0, 1502.0, 2000.0]]);
    $log = json_decode($this->postJson("/api/v1/captures/$id/export", ['as' => 'json'])->assertOk()->streamedContent());
    expect($log->log[1])->toEqual((object) ['t_ms' => 20, 'us' => [1501.5, 1000]])->and($log->kind)->toBe('csv');
    // A log has no format of its own: as a signal it is a pulse train, and bytes need a format.
    expect($this->postJson("/api/v1/captures/$id/export", ['as' => 'vcd'])->assertOk()->streamedContent())->toContain('$var wire 1');
    $this->postJson("/api/v1/captures/$id/export", ['as' => 'bin'])->assertStatus(422)->assertJsonPath('error.path', 'format');
    $this->postJson("/api/v1/captures/$id/export", ['as' => 'wav', 'format' => 's100i'])->assertStatus(422)->assertJsonPath('error.path', 'as');
    expect(bin2hex($this->postJson("/api/v1/captures/$id/export", ['as' => 'bin', 'format' => 's100i'])->assertOk()->streamedContent()))->toStartWith('0f');
});

it('tells how far a reading is once a megabyte, and stops when asked', function () {
    $progress = DecodeProgress::of('a token');
    $progress->at(1_048_575, 9_000_000);
    expect($progress->read())->toBeNull();
    $progress->at(1_048_576, 9_000_000);
    expect($progress->read())->toBe(['bytes' => 1_048_576, 'of' => 9_000_000]);
    $progress->at(2_097_151, 9_000_000);
    expect($progress->read()['bytes'])->toBe(1_048_576);
    $progress->at(2_097_152, 9_000_000);
    expect($progress->read()['bytes'])->toBe(2_097_152)->and(DecodeProgress::of('another')->read())->toBeNull()->and(DecodeProgress::of(''))->toBeNull();
    DecodeProgress::of('a token')->stop();
    expect(fn () => $progress->at(9_000_000, 9_000_000))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe('cancelled'));
    expect($progress->read())->toBeNull()->and(File::exists(Capture::folder().'/.progress-'.hash('sha256', 'a token').'-stop'))->toBeFalse();
});

it('reads the fields beside an uploaded capture: numbers as numbers, a card as a card', function () {
    $file = UploadedFile::fake()->createWithContent('x.bin', 'bytes');
    $of = fn (array $fields, array $files = []): stdClass => CaptureUpload::of(Request::create('/', 'POST', $fields, [], ['capture' => $file] + $files))->options;
    expect($of(['frames' => '3', 'max_rate' => '50.5', 'as' => '100', '_token' => 'x']))->toEqual((object) ['frames' => 3, 'max_rate' => 50.5, 'as' => '100'])
        ->and($of(['frames' => 'many'])->frames)->toBe('many')
        ->and($of(['card' => OWN_FORMAT])->card->id)->toBe('mine')
        ->and($of([], ['card' => UploadedFile::fake()->createWithContent('c.yaml', OWN_FORMAT)])->card->id)->toBe('mine');
    expect(fn () => CaptureUpload::of(Request::create('/', 'POST')))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('capture'));
    foreach ([[UPLOAD_ERR_INI_SIZE, 'too_large'], [UPLOAD_ERR_FORM_SIZE, 'too_large'], [UPLOAD_ERR_PARTIAL, 'incomplete']] as [$fault, $code]) {
        $broken = new UploadedFile($file->getRealPath(), 'x.bin', null, $fault, true);
        expect(fn () => CaptureUpload::of(Request::create('/', 'POST', [], [], ['capture' => $broken])))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe($code));
    }
    $noRoom = new UploadedFile($file->getRealPath(), 'x.bin', null, UPLOAD_ERR_CANT_WRITE, true);
    expect(fn () => CaptureUpload::of(Request::create('/', 'POST', [], [], ['capture' => $noRoom])))->toThrow(RuntimeException::class, 'No space left');
});

it('makes a rig for another receiver without the links of the old one', function () {
    $this->demo();
    $made = $this->postJson('/api/v1/rigs/dunlin/duplicate', ['name' => 'Dunlin relay', 'receiver' => 'weft-r6'])->assertStatus(201);
    $document = $made->json('document');
    expect($made->json('slug'))->toBe('dunlin-relay')->and(array_column($document['chain'], 'id'))->toContain('weft-r6')->not->toContain('weft-r16i')
        ->and(json_encode($document['links'] ?? []))->not->toContain('weft-r16i')
        ->and(array_column($made->json('review.readiness.checks'), 'state', 'check')['bind'])->not->toBe('holds')
        ->and(Rig::query()->count())->toBe(6);
});

it('says on the command line what is missing in one sentence', function (string $command, array $arguments, string $says) {
    $this->demo();
    $this->artisan($command, $arguments)->expectsOutputToContain($says)->assertExitCode(2);
})->with([
    'a rig that is none' => ['linguator:export', ['rig' => 'nothing'], 'There is no rig "nothing".'],
    'a file that is none' => ['linguator:import', ['file' => ['/nowhere.yaml']], '/nowhere.yaml: There is no such file, or it cannot be read.'],
    'a backup that is none' => ['linguator:restore', ['file' => '/nowhere.sqlite'], '/nowhere.sqlite'],
]);

it('imports several files one after the other, and stops at the first that is wrong', function () {
    $folder = sys_get_temp_dir().'/linguator-import-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $good = base_path('demo/gear/'.basename((string) (glob(base_path('demo/gear/*.yaml')) ?: [''])[0]));
    file_put_contents("$folder/bad.yaml", "kind: receiver\n");
    $this->artisan('linguator:import', ['file' => [$good, "$folder/bad.yaml", '/nowhere.yaml']])->expectsOutputToContain("$folder/bad.yaml: ")->doesntExpectOutputToContain('/nowhere.yaml')->assertExitCode(2);
    File::deleteDirectory($folder);
});

it('decodes from standard input, a file and with a card of one\'s own, and refuses each with status 2', function (array $arguments, string $input, int $status, string $key, mixed $expected) {
    file_put_contents(sys_get_temp_dir().'/linguator-own.yaml', OWN_FORMAT);
    [$got, $out] = $this->fromCold(['linguator:decode', ...$arguments], $input);
    expect($got)->toBe($status)->and(data_get(json_decode($out, true), $key))->toBe($expected);
})->with([
    'standard input' => [['-', '--kind=hex'], implode(' ', array_fill(0, 30, '5aa5 05dc 05dc 05dc 05dc 05dc 05dc')), 0, 'kind', 'hex'],
    'a card of one\'s own' => [['-', '--kind=hex', '--card='.sys_get_temp_dir().'/linguator-own.yaml', '--frames=2'], implode(' ', array_fill(0, 30, '5aa5 05dc 05dc 05dc 05dc 05dc 05dc')), 0, 'format', 'mine'],
    'frames that are words' => [['-', '--kind=hex', '--frames=many'], '00', 2, 'error.path', 'frames'],
    'a card that is none' => [['-', '--card=/nowhere.yaml'], '00', 2, 'error.path', 'card'],
    'a file that is none' => [['/nowhere.bin'], '', 2, 'error.path', 'file'],
    'nothing at all' => [['-'], '', 2, 'error.code', 'empty'],
]);

it('sends a stand-in to a file whose ending says as what', function (string $name, string $begins) {
    $file = sys_get_temp_dir().'/linguator-'.bin2hex(random_bytes(4)).$name;
    [$status, $out, $said] = $this->fromCold(['linguator:stand-in', $file, '--seconds=0.2', '--format=s115u']);
    expect([$status, $out, $said])->toBe([0, '', ''])->and(bin2hex((string) file_get_contents($file, length: 4)))->toStartWith(bin2hex($begins));
    unlink($file);
})->with([['.vcd', '$'], ['.csv', 't'], ['.bin', ' @']]);

it('refuses a stand-in that cannot be, with status 2 and its place', function (array $arguments, string $path) {
    [$status, $out] = $this->fromCold(['linguator:stand-in', ...$arguments]);
    expect($status)->toBe(2)->and(json_decode($out)->error->path)->toBe($path);
})->with([
    'as a picture' => [['-', '--kind=png'], 'kind'],
    'into a folder that is none' => [['/nowhere/x.csv'], 'file'],
    'a share above one' => [['-', '--dropped=7'], 'dropped'],
    'a share that is a word' => [['-', '--dropped=some'], 'dropped'],
    'a card that is none' => [['-', '--card=/nowhere.yaml'], 'card'],
    'pulses on a port' => [['--port=4597', '--format=ppm'], 'format'],
]);

it('names the file an attachment came in by, and shows it as nothing else', function () {
    $this->demo();
    $position = $this->getJson('/api/v1/rigs/dunlin')->json('history.0.position');
    $file = UploadedFile::fake()->createWithContent('seen.txt', '<script>alert(1)</script>');
    $id = $this->post("/api/v1/rigs/dunlin/entries/$position/attachments", ['file' => $file], ['Accept' => 'application/json'])->assertStatus(201)->assertJsonPath('name', 'seen.txt')->json('id');
    $this->get("/api/v1/attachments/$id")->assertOk()->assertHeader('Content-Type', 'text/plain; charset=utf-8')->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Content-Disposition', "inline; filename=\"attachment-$id\"");
    $this->post("/api/v1/rigs/dunlin/entries/$position/attachments", [], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('error.path', 'file');
    $this->post('/api/v1/rigs/dunlin/entries/99999/attachments', ['file' => $file], ['Accept' => 'application/json'])->assertStatus(422);
});

it('leaves a format that differs alone when an archive comes in, until told to replace', function () {
    $this->demo();
    $this->postJson('/api/v1/formats/import', ['text' => OWN_FORMAT])->assertStatus(201);
    $file = tempnam(sys_get_temp_dir(), 'lg');
    app(App\Actions\ExportArchive::class)($file);
    $upload = static fn (): UploadedFile => new UploadedFile($file, 'bench.zip', 'application/zip', null, true);
    $this->postJson('/api/v1/formats/import', ['text' => str_replace('Mine', 'Other', OWN_FORMAT), 'replace' => true])->assertStatus(201);
    $this->post('/api/v1/archive/import', ['file' => $upload()])->assertOk()->assertJsonPath('formats', 0);
    expect(Format::query()->sole()->name)->toBe('Other');
    $this->post('/api/v1/archive/import', ['file' => $upload(), 'replace' => '1'])->assertOk()->assertJsonPath('formats', 1);
    expect(Format::query()->sole()->name)->toBe('Mine');
    $this->post('/api/v1/archive/import', ['file' => $upload(), 'replace' => '1'])->assertOk()->assertJsonPath('formats', 0);
});

it('keeps a hundred formats and refuses the next, but takes a change of one it has', function () {
    for ($k = 1; $k <= 99; $k++) {
        Format::query()->create(['id' => "format-$k", 'name' => "Format $k", 'document' => '{}']);
    }
    $this->postJson('/api/v1/formats/import', ['text' => OWN_FORMAT])->assertStatus(201);
    $this->postJson('/api/v1/formats/import', ['text' => str_replace('mine', 'mine-too', OWN_FORMAT)])->assertStatus(422)->assertJsonPath('error.code', 'too_many');
    $this->postJson('/api/v1/formats/import', ['text' => str_replace('Mine', 'Other', OWN_FORMAT), 'replace' => true])->assertStatus(201);
    expect(Format::query()->count())->toBe(100);
});

it('takes one card as text, and says how many it found otherwise', function () {
    $this->demo();
    $text = $this->get('/api/v1/shelf/flip.yaml')->assertOk()->content();
    $revision = $this->getJson('/api/v1/shelf/flip')->json('revision');
    $this->putJson('/api/v1/shelf/flip', ['revision' => $revision, 'text' => $text])->assertOk();
    $this->putJson('/api/v1/shelf/flip', ['revision' => $this->getJson('/api/v1/shelf/flip')->json('revision'), 'text' => "$text---\n$text"])
        ->assertStatus(422)->assertJsonPath('error.code', 'not_one')->assertJsonPath('error.message', 'Found 2 cards; expected one. Several go in by "Import cards".');
});

it('says how large a file is that is too large', function () {
    $this->demo();
    $this->post('/api/v1/rigs/avocet/entries/0/attachments', ['file' => UploadedFile::fake()->createWithContent('a.txt', str_repeat('x', 6 * 1_048_576))])
        ->assertStatus(422)->assertJsonPath('error.message', 'Found 6.0 MB; expected at most 5 MB.');
    $bounds = App\Actions\ArchiveBounds::page();
    expect(fn () => $bounds->check('logbook.csv', 40 * 1_048_576, 41 * 1_048_576))->toThrow(fn (DocumentError $error) => expect($error->getMessage())->toContain('would unpack to 41 MB'));
});
