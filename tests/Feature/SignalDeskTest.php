<?php

declare(strict_types=1);

use App\Actions\DecodeProgress;
use App\Models\Capture;
use App\Models\Rig;
use Illuminate\Http\UploadedFile;

/** A sample on the desk; its number. */
function onDesk(string $sample): int
{
    return test()->postJson('/api/v1/captures', ['sample' => $sample])->assertStatus(201)->json('id');
}

/** What a stand-in sends, on the desk. */
function standingIn(array $standIn, string $kind = 'csv'): int
{
    return test()->postJson('/api/v1/captures', ['stand_in' => $standIn, 'kind' => $kind])->assertStatus(201)->json('id');
}

it('answers the verb decode over HTTP and on the command line with the same bytes', function () {
    $file = base_path('tests/fixtures/captures/two_wires.vcd');
    $answer = $this->post('/api/v1/decode', ['capture' => new UploadedFile($file, 'x.vcd', null, null, true), 'line' => 'train', 'frames' => '2'])->assertOk();
    exec('php '.escapeshellarg(base_path('artisan')).' linguator:decode '.escapeshellarg($file).' --line=train --frames=2', $lines, $status);
    expect($status)->toBe(0)->and(json_decode(implode("\n", $lines), true))->toBe($answer->json())
        ->and($answer->json('format'))->toBe('ppm')->and($answer->json('first_frames'))->toHaveCount(2);
});

it('takes a card with the capture, as text or as a file, in YAML or JSON', function () {
    $yaml = (string) file_get_contents(base_path('core/data/formats/s115u.yaml'));
    $json = json_encode(Linguator\Core\Format\FormatCardText::value($yaml));
    $capture = fn (): UploadedFile => new UploadedFile(base_path('tests/fixtures/captures/s115u_clean.bin'), 'x.bin', null, null, true);
    foreach ([$yaml, $json, UploadedFile::fake()->createWithContent('card.yaml', $yaml)] as $card) {
        $this->post('/api/v1/decode', ['capture' => $capture(), 'card' => $card])->assertOk()->assertJsonPath('format', 's115u')->assertJsonPath('frames.good', 250);
    }
    $this->post('/api/v1/decode', ['capture' => $capture(), 'card' => 'id: [x'])->assertStatus(422)->assertJsonPath('error.path', 'card');
    $this->post('/api/v1/decode', ['capture' => $capture(), 'card' => strtr($yaml, ['order: little, mask' => 'mask'])])->assertStatus(422)->assertJsonPath('error.path', 'card.parts.1.order');
});

it('refuses on the command line with status 2 and a document', function (array $words, string $path) {
    exec('php '.escapeshellarg(base_path('artisan')).' linguator:'.implode(' ', array_map(escapeshellarg(...), $words)), $lines, $status);
    expect($status)->toBe(2)->and(json_decode(implode("\n", $lines), true)['error']['path'])->toBe($path);
})->with([
    'no file' => [['decode', '/nowhere'], 'file'],
    'an unknown format' => [['decode', __FILE__, '--as=nope'], 'as'],
    'a kind that is none' => [['decode', __FILE__, '--kind=gif'], 'kind'],
    'a number that is none' => [['decode', __FILE__, '--frames=many'], 'frames'],
    'a card that is not there' => [['decode', __FILE__, '--card=/nowhere'], 'card'],
    'pulses as bytes' => [['stand-in', '--format=ppm', '--kind=hex'], 'kind'],
    'no card to send by' => [['stand-in', '--card=/nowhere'], 'card'],
    'a card that is none' => [['stand-in', '--card=/etc/hostname'], 'card'],
    'a share beyond all' => [['stand-in', '--dropped=3'], 'dropped'],
]);

it('decodes a large capture whether or not the compiler comes on', function (string $ini) {
    $folder = sys_get_temp_dir().'/linguator-ini-'.bin2hex(random_bytes(4));
    mkdir($folder);
    file_put_contents("$folder/zz.ini", $ini);
    $artisan = 'PHP_INI_SCAN_DIR='.escapeshellarg(":$folder").' timeout 60 php '.escapeshellarg(base_path('artisan'));
    exec("$artisan linguator:stand-in ".escapeshellarg("$folder/large.csv").' --format=s420c --seconds=4 2>&1', $lines, $status);
    expect($status)->toBe(0)->and(filesize("$folder/large.csv"))->toBeGreaterThan(1_000_000);
    $lines = [];
    exec("$artisan linguator:decode ".escapeshellarg("$folder/large.csv").' 2>/dev/null', $lines, $status);
    expect($status)->toBe(0)->and(json_decode(implode("\n", $lines))->frames->good)->toBe(1000);
    array_map(unlink(...), glob("$folder/*"));
    rmdir($folder);
})->with(['as it comes' => '', 'a compiler that stays off' => 'opcache.enable=0']);

it('says what is missing or too large in an upload', function () {
    $this->post('/api/v1/decode', [])->assertStatus(422)->assertJsonPath('error.path', 'capture');
    $this->post('/api/v1/decode', ['capture' => new UploadedFile(__FILE__, 'x', null, UPLOAD_ERR_INI_SIZE, true)])->assertStatus(422)->assertJsonPath('error.code', 'too_large');
    $this->post('/api/v1/captures', ['capture' => new UploadedFile(__FILE__, 'x', null, UPLOAD_ERR_PARTIAL, true)])->assertStatus(422)->assertJsonPath('error.code', 'incomplete');
    $this->post('/api/v1/captures', ['capture' => UploadedFile::fake()->create('empty.bin', 0)])->assertStatus(422)->assertJsonPath('error.code', 'empty');
    expect(Capture::query()->count())->toBe(0);
});

it('keeps a capture under no name of the user, and has it off the desk for a day before it is gone', function () {
    $id = $this->postJson('/api/v1/captures', ['text' => '0f 00', 'name' => '../../evil<b>.hex'])->assertStatus(201)->assertJsonPath('name', 'evil<b>.hex')->json('id');
    $path = Capture::query()->findOrFail($id)->path();
    expect(file_get_contents($path))->toBe('0f 00')->and(basename($path))->toMatch("/^$id-[0-9a-f]{16}$/");
    $this->deleteJson("/api/v1/captures/$id")->assertOk();
    $this->getJson('/api/v1/captures')->assertOk()->assertJsonPath('captures', []);
    $this->postJson("/api/v1/captures/$id/restore")->assertOk()->assertJsonPath('id', $id);
    $this->getJson('/api/v1/captures')->assertOk()->assertJsonCount(1, 'captures');
    $this->deleteJson("/api/v1/captures/$id")->assertOk();
    $this->travel(2)->days();
    $other = $this->postJson('/api/v1/captures', ['text' => '0f 01'])->assertStatus(201)->json('id');
    expect(is_file($path))->toBeFalse()->and(Capture::query()->pluck('id')->all())->toBe([$other]);
    $this->postJson('/api/v1/captures', ['stand_in' => ['format' => 's420c', 'seconds' => 3600, 'period_ms' => 2], 'kind' => 'vcd'])->assertStatus(422)->assertJsonPath('error.code', 'too_large');
});

it('shows one frame with every byte named, and its stretch of the wire', function () {
    $id = onDesk('dunlin-serial.csv');
    $frame = $this->postJson("/api/v1/captures/$id/frame", ['index' => 2])->assertOk();
    expect(array_column($frame->json('fields'), 'name'))->toBe(['start', 'channels', 'flags', 'end'])
        ->and($frame->json('channels.15'))->toMatchArray(['channel' => 16, 'from_bit' => 8 + 165, 'bits' => 11]);
    $begin = $frame->json('begins_us');
    $wave = $this->postJson("/api/v1/captures/$id/window", ['from_us' => $begin, 'to_us' => $begin + $frame->json('lasts_us')])->assertOk();
    expect(implode('', array_column($wave->json('bytes'), 'hex')))->toBe($frame->json('hex'))
        ->and(array_unique(array_column($wave->json('bytes'), 'name')))->toContain('start', 'channels', 'flags', 'end')
        ->and($wave->json('drawn'))->toBeFalse();
    $whole = $this->postJson("/api/v1/captures/$id/window", ['from_us' => 0, 'to_us' => 2e6])->assertOk();
    expect($whole->json('edges'))->toBeNull()->and(array_sum(array_column($whole->json('spans'), 'changes')))->toBeGreaterThan(5000);
    $this->postJson("/api/v1/captures/$id/frame", ['index' => 100_000])->assertStatus(422)->assertJsonPath('error.code', 'no_such_frame');
});

it('draws the wire of captures that hold bytes only, and names escaped bytes', function (string $sample) {
    $id = onDesk($sample);
    $frame = $this->postJson("/api/v1/captures/$id/frame", ['index' => 1])->assertOk()->json();
    $wave = $this->postJson("/api/v1/captures/$id/window", ['from_us' => $frame['begins_us'] - 10, 'to_us' => $frame['begins_us'] + $frame['lasts_us'] + 200])->assertOk()->json();
    $bytes = array_filter($wave['bytes'], fn (array $byte): bool => $byte['name'] !== 'escape');
    expect($wave['drawn'])->toBeTrue()->and(count($bytes))->toBe(strlen($frame['hex']) / 2)->and(array_column($bytes, 'name'))->not->toContain('');
})->with(['dunlin-damaged.bin', 'oystercatcher-framed.bin', 'sanderling-tagged.hex', 'avocet-eighths.bin']);

it('hands decoded values and re-encoded signals on, which say the same when they are read again', function (string $as, string $format, string $kind) {
    $id = standingIn(['format' => 's115u', 'seconds' => 2, 'channels' => 14], 'hex');
    $before = $this->postJson("/api/v1/captures/$id/decode", ['options' => new stdClass])->json('answer.channels');
    $export = $this->postJson("/api/v1/captures/$id/export", ['as' => $as, 'format' => $format])->assertOk()->streamedContent();
    $again = $this->post('/api/v1/decode', ['capture' => UploadedFile::fake()->createWithContent('again', $export)])->assertOk();
    expect($again->json('kind'))->toBe($kind)->and($again->json('frames.bad'))->toBe(0);
    foreach (array_slice($again->json('channels'), 0, 8) as $k => $channel) {
        expect($channel['max_us'])->toEqualWithDelta($before[$k]['max_us'], $as === 'wav' ? 3.0 : 1.0);
    }
})->with([['csv', '', 'csv'], ['bin', '', 'bin'], ['vcd', 's100i', 'vcd'], ['edges', 's420c', 'csv'], ['wav', 'ppm', 'wav'], ['vcd', 'ppm', 'vcd']]);

it('tells how far a long reading is, and stops it when asked', function () {
    $id = standingIn(['format' => 'ppm', 'seconds' => 120]);
    $progress = DecodeProgress::of('a page');
    $progress->stop();
    $this->postJson("/api/v1/captures/$id/decode", ['progress' => 'a page'])->assertStatus(422)->assertJsonPath('error.code', 'cancelled');
    $this->postJson("/api/v1/captures/$id/decode", ['progress' => 'a page'])->assertOk();
    $progress->at(2_000_000, 5_000_000);
    $this->getJson('/api/v1/captures/progress?token=a+page')->assertOk()->assertJsonPath('progress', ['bytes' => 2_000_000, 'of' => 5_000_000]);
    $progress->end();
    $this->getJson('/api/v1/captures/progress?token=a+page')->assertOk()->assertJsonPath('progress', null);
});

it('lays two captures over one another: order, scale and delay', function () {
    $id = onDesk('converter-two-wires.vcd');
    $answer = $this->postJson('/api/v1/captures/compare', ['a' => ['id' => $id, 'options' => ['line' => 'before']], 'b' => ['id' => $id, 'options' => ['line' => 'after']]])->assertOk();
    $rows = $answer->json('comparison.channels');
    expect(array_column($rows, 'b', 'a'))->toBe([1 => 3, 2 => 2, 3 => 1])
        ->and(array_column($answer->json('comparison.findings'), 'code'))->toContain('order_differs', 'scale_differs', 'rate_differs')->not->toContain('reversed')
        // 18 ms later, and a slower sender holds each value 5 ms longer on average.
        ->and($answer->json('comparison.delay_ms'))->toEqualWithDelta(23.0, 3.0)
        // Formats are called as somebody would call them.
        ->and($answer->json('comparison.first'))->toBe('16 × 11-bit, 420 k with CRC-8')
        ->and($answer->json('comparison.second'))->toBe('16 × 11-bit, 100 k inverted')
        ->and(array_column($answer->json('comparison.findings'), 'message'))->toContain('The formats differ: 16 × 11-bit, 420 k with CRC-8, then 16 × 11-bit, 100 k inverted.');
    foreach ($rows as $row) {
        expect($row['scale'])->toEqualWithDelta(0.8, 0.01);
    }
    $same = $this->postJson('/api/v1/captures/compare', ['a' => ['id' => $id], 'b' => ['id' => $id]])->assertOk();
    expect($same->json('comparison.delay_ms'))->toEqual(0.0)->and($same->json('comparison.findings'))->toBe([]);
    $still = standingIn(['format' => 'pwm', 'stuck_after_s' => 0]);
    $this->postJson('/api/v1/captures/compare', ['a' => ['id' => $id], 'b' => ['id' => $still]])->assertOk()->assertJsonPath('comparison.findings.0.code', 'nothing_in_common');
});

it('takes a capture as evidence for a rig: travel, failsafe, and kept with the history', function () {
    $this->demo();
    $id = onDesk('avocet-sticks.csv');
    $look = $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $id, 'use' => 'look'])->assertOk();
    $throttle = array_values(array_filter($look->json('travel'), fn (array $row): bool => $row['channel'] === 3))[0];
    expect($throttle)->toMatchArray(['lo' => 1085, 'moved' => true, 'rested' => false]);
    $rig = $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $id, 'use' => 'travel', 'channels' => [1, 2], 'revision' => $look->json('revision')])->assertOk();
    expect($rig->json('history.0.entry.text'))->toBe('Read from the capture avocet-sticks.csv: channel 2 989 / 1500 / 2011 µs')
        ->and($rig->json('revision'))->toBe($look->json('revision') + 2);
    $cut = onDesk('oystercatcher-link-cut.hex');
    $tested = $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $cut, 'use' => 'failsafe', 'hop' => 1, 'passed' => true, 'by' => 'Wren', 'revision' => $rig->json('revision')])->assertOk();
    expect($tested->json('history.0.entry.text'))->toContain('passed, by the capture oystercatcher-link-cut.hex: failsafe flag up from 1.61 s');
    $kept = $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $cut, 'use' => 'attach', 'revision' => $tested->json('revision')])->assertOk();
    $files = array_filter($kept->json('attachments'), fn (array $file): bool => $file['position'] === $kept->json('history.0.position'));
    expect(array_column($files, 'name'))->toBe(['oystercatcher-link-cut.hex', 'oystercatcher-link-cut.hex, decoded.txt']);
    $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $cut, 'use' => 'attach', 'revision' => 0])->assertStatus(409);
    $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $cut, 'use' => 'travel', 'channels' => [99], 'revision' => $kept->json('revision')])->assertStatus(422)->assertJsonPath('error.path', 'channels.0');
    expect(Rig::query()->where('slug', 'avocet')->value('revision'))->toBe($kept->json('revision'));
});

it('takes no values from a capture that is not recognised, and keeps it all the same', function () {
    $this->demo();
    $file = UploadedFile::fake()->createWithContent('unknown.bin', str_repeat('moin moin ', 300));
    $id = $this->post('/api/v1/captures', ['capture' => $file])->assertStatus(201)->json('id');
    $revision = Rig::query()->where('slug', 'avocet')->value('revision');
    foreach ([['use' => 'look'], ['use' => 'travel', 'channels' => [1]], ['use' => 'failsafe', 'hop' => 1, 'passed' => true]] as $use) {
        $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $id, 'revision' => $revision, ...$use])->assertStatus(422)->assertJsonPath('error.code', 'not_recognised');
    }
    $kept = $this->postJson('/api/v1/rigs/avocet/evidence', ['capture' => $id, 'use' => 'attach', 'revision' => $revision])->assertOk();
    expect($kept->json('history.0.entry.text'))->toContain('This is none of the formats known here.');
});

it('carries a binary capture kept as evidence through the archive', function () {
    $this->demo();
    $id = onDesk('avocet-eighths.bin');
    $revision = Rig::query()->where('slug', 'dunlin')->value('revision');
    $this->postJson('/api/v1/rigs/dunlin/evidence', ['capture' => $id, 'use' => 'attach', 'revision' => $revision])->assertOk();
    $zip = $this->get('/api/v1/archive.zip')->assertOk()->streamedContent() ?: '';
    Rig::query()->delete();
    $this->post('/api/v1/archive/import', ['file' => UploadedFile::fake()->createWithContent('bench.zip', $zip)])->assertOk();
    $file = array_values(array_filter($this->getJson('/api/v1/rigs/dunlin')->json('attachments'), fn (array $one): bool => $one['name'] === 'avocet-eighths.bin'))[0];
    $answer = $this->get("/api/v1/attachments/{$file['id']}")->assertOk();
    expect($answer->getContent())->toBe(file_get_contents(base_path('demo/captures/avocet-eighths.bin')))
        ->and($answer->headers->get('Content-Disposition'))->toStartWith('attachment');
});

it('keeps formats of one\'s own, which are then found, sent and shown like the shipped ones', function () {
    $card = "id: my-words\nname: My words\nline: {baud: 57600, parity: odd, stop_bits: 1, inverted: false}\nchannels: {min: 6, max: 6}\nscale: {centre: 1500, us: 1, max: 4095}\nparts:\n  - {const: \"5aa5\"}\n  - {channels: words, order: big}\n  - {check: crc8, poly: 7, from: 2}\n";
    $this->postJson('/api/v1/formats/import', ['text' => $card])->assertStatus(201)->assertJsonPath('id', 'my-words');
    $this->postJson('/api/v1/formats/import', ['text' => $card])->assertStatus(422)->assertJsonPath('error.code', 'exists');
    $this->postJson('/api/v1/formats/import', ['text' => strtr($card, ['My words' => 'Words'])] + ['replace' => true])->assertStatus(201)->assertJsonPath('name', 'Words');
    $this->postJson('/api/v1/formats/import', ['text' => strtr($card, ['my-words' => 's100i'])])->assertStatus(422)->assertJsonPath('error.code', 'taken');
    $this->postJson('/api/v1/formats/import', ['text' => strtr($card, ['poly: 7, ' => ''])])->assertStatus(422)->assertJsonPath('error.path', 'parts.2.poly');
    $this->postJson('/api/v1/formats/import', ['text' => 'id: [unclosed'])->assertStatus(422);
    foreach (['csv', 'vcd', 'hex', 'bin'] as $kind) {
        $id = standingIn(['format' => 'my-words', 'seconds' => 1], $kind);
        $answer = $this->postJson("/api/v1/captures/$id/decode", ['options' => new stdClass])->assertOk();
        expect($answer->json('answer.format'))->toBe('my-words')->and($answer->json('answer.frames.bad'))->toBe(0);
    }
    $this->postJson('/api/v1/encode', ['format' => 'my-words', 'frames' => [['us' => [1500, 1000]]]])->assertOk()->assertJsonPath('format', 'my-words')
        ->assertJsonPath('hex.0', fn (string $hex): bool => str_starts_with($hex, '5aa505dc03e805dc'));
    $this->getJson('/api/v1/search?q=words+57600')->assertOk()->assertJsonPath('hits.0.kind', 'own_format');
    $yaml = $this->get('/api/v1/formats/my-words.yaml')->assertOk()->getContent();
    $gone = $this->deleteJson('/api/v1/formats/my-words')->assertOk()->json('deleted');
    expect($gone)->toBe($yaml);
    $this->postJson('/api/v1/formats/import', ['text' => $yaml])->assertStatus(201);
    $this->getJson('/api/v1/formats')->assertOk()->assertJsonPath('own.0.text', $yaml);
});

it('tells the newest values of bytes as a serial adapter hands them on', function () {
    $bytes = (string) file_get_contents(base_path('demo/captures/avocet-eighths.bin'));
    $seen = $this->postJson('/api/v1/live/bytes', ['hex' => bin2hex(substr($bytes, 7, 700))])->assertOk();
    expect($seen->json('format'))->toBe('s115e')->and($seen->json('channels'))->toHaveCount(12)->and($seen->json('bad'))->toBe(0);
    $this->postJson('/api/v1/live/bytes', ['hex' => '0f0'])->assertStatus(422)->assertJsonPath('error.path', 'hex');
    $this->postJson('/api/v1/live/tcp', ['port' => 1])->assertStatus(422)->assertJsonPath('error.code', 'nobody_there');
});
