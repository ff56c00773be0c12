<?php

declare(strict_types=1);

use App\Actions\Backup;
use App\Models\Attachment;
use App\Models\Capture;
use App\Models\Card;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Http\UploadedFile;

const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';

function changed(object $test, string $slug, array $set, string $text): void
{
    $revision = $test->getJson("/api/v1/rigs/$slug")->json('revision');
    $test->patchJson("/api/v1/rigs/$slug", ['revision' => $revision, 'set' => $set, 'text' => $text])->assertOk();
}

/** @param  array<string, string>  $files */
function archiveOf(array $files): UploadedFile
{
    $path = tempnam(sys_get_temp_dir(), 'lg');
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::OVERWRITE);
    foreach ($files as $name => $content) {
        $zip->addFromString($name, $content);
    }
    $zip->close();

    return new UploadedFile($path, 'bench.zip', 'application/zip', null, true);
}

it('shows a rig as it was right after any entry, and compares two moments', function () {
    $this->demo();
    $before = $this->getJson('/api/v1/rigs/dunlin')->json();
    $start = count($before['history']) - 1;
    changed($this, 'dunlin', ['settings.order' => 'TAER', 'settings.memory' => 9], 'Another order');
    changed($this, 'dunlin', ['settings.memory' => 10, 'settings.antenna' => 'on the tail'], 'Another memory');
    $then = $this->getJson("/api/v1/rigs/dunlin/at/$start")->assertOk();
    expect($then->json('document'))->toBe($before['document'])->and($then->json('review.order.right'))->toBeTrue();
    $between = $this->getJson('/api/v1/rigs/dunlin/at/'.($start + 1))->json('document.settings');
    expect($between['memory'])->toBe(9)->and($between['order'])->toBe('TAER')->and($between)->not->toHaveKey('antenna');

    $differences = collect($this->getJson("/api/v1/rigs/dunlin/compare?then=$start")->assertOk()->json('differences'))->keyBy('place');
    expect($differences->keys()->sort()->values()->all())->toBe(['settings.antenna', 'settings.memory', 'settings.order'])
        ->and($differences['settings.order']['then_says'])->toBe('AETR')->and($differences['settings.antenna']['clear'])->toBe(['settings.antenna']);
    foreach ($differences as $difference) {
        $revision = $this->getJson('/api/v1/rigs/dunlin')->json('revision');
        $this->patchJson('/api/v1/rigs/dunlin', ['revision' => $revision, 'set' => (object) $difference['set'], 'clear' => $difference['clear'], 'text' => 'Restored'])->assertOk();
    }
    expect($this->getJson('/api/v1/rigs/dunlin')->json('document'))->toBe($before['document']);
    $this->getJson('/api/v1/rigs/dunlin/at/999')->assertStatus(422)->assertJsonPath('error.code', 'no_such_entry');
});

it('keeps a logbook across rigs that can be filtered and taken along', function () {
    $this->demo();
    $all = $this->getJson('/api/v1/logbook')->assertOk();
    $ats = array_column($all->json('entries'), 'at');
    expect($ats)->toBe(collect($ats)->sortDesc()->values()->all())->and(count($ats))->toBe(RigEntry::query()->count());
    expect(array_unique(array_column(array_column($this->getJson('/api/v1/logbook?rig=mudlark')->json('entries'), 'rig'), 'slug')))->toBe(['mudlark']);
    expect($this->getJson('/api/v1/logbook?kind=attempt&from=2026-11-20&to=2026-11-20')->json('entries.*.text'))->toBe(['Bound: weft-8, at 2 m']);
    expect($this->getJson('/api/v1/logbook?q=grind')->json('entries.0.rig.name'))->toBe('Sanderling');
    expect($this->getJson('/api/v1/logbook?q=%25')->json('entries'))->toBe([]);
    $this->getJson('/api/v1/logbook?from=yesterday')->assertStatus(422)->assertJsonPath('error.path', 'from');

    changed($this, 'mudlark', ['settings.memory' => 3], '=HYPERLINK("x"), and more');
    $csv = $this->get('/api/v1/logbook.csv?rig=mudlark')->assertOk()->streamedContent();
    expect(explode("\r\n", $csv)[1])->toEndWith(',Mudlark,change,"\'=HYPERLINK(""x""), and more"');
    expect(json_decode($this->get('/api/v1/logbook.json')->streamedContent(), true))->toHaveCount(RigEntry::query()->count());
});

it('keeps a picture with an entry, shown as nothing but a picture', function () {
    $this->demo();
    $made = $this->post('/api/v1/rigs/avocet/entries/0/attachments', ['file' => UploadedFile::fake()->createWithContent('../../wiring.png', base64_decode(PNG))])->assertCreated();
    expect($made->json('name'))->toBe('wiring.png')->and($made->json('type'))->toBe('image/png');
    $shown = $this->get('/api/v1/attachments/'.$made->json('id'))->assertOk();
    expect($shown->headers->get('Content-Security-Policy'))->toContain('sandbox')->and($shown->headers->get('X-Content-Type-Options'))->toBe('nosniff')->and($shown->getContent())->toBe(base64_decode(PNG));
    expect($this->getJson('/api/v1/rigs/avocet')->json('attachments.0.position'))->toBe(0);
});

it('refuses an attachment that lies about its type, is too large or belongs nowhere', function (string $name, string $content, int $entry, string $code) {
    $this->demo();
    $this->post("/api/v1/rigs/avocet/entries/$entry/attachments", ['file' => UploadedFile::fake()->createWithContent($name, $content)])->assertStatus(422)->assertJsonPath('error.code', $code);
    expect(Attachment::query()->count())->toBe(0);
})->with([
    'a program called a picture' => ['picture.png', "\x7fELF\x02\x01\x01\x00\x00", 0, 'wrong_type'],
    'half a picture' => ['picture.png', "\x89PNG\r\n\x1a\nIHDR", 0, 'wrong_type'],
    'nothing' => ['dump.txt', '', 0, 'wrong_type'],
    'six megabytes' => ['dump.txt', str_repeat('x', 6_000_000), 0, 'too_large'],
    'an entry that is not there' => ['dump.txt', 'set a = 1', 999, 'no_such_entry'],
]);

it('carries a change of the handset\'s memory over to every rig flown from it, and makes their checks stale too', function () {
    $this->demo();
    $this->postJson('/api/v1/rigs/avocet/duplicate', ['name' => 'Avocet, second wing'])->assertCreated();
    expect($this->getJson('/api/v1/rigs/avocet')->json('shares_memory_with.0.name'))->toBe('Avocet, second wing');
    $state = fn (string $slug, string $check): string => collect($this->getJson("/api/v1/rigs/$slug")->json('review.readiness.checks'))->firstWhere('check', $check)['state'];
    expect($state('avocet-second-wing', 'order'))->toBe('holds');
    changed($this, 'avocet', ['settings.order' => 'RETA'], 'Order changed');
    expect($state('avocet', 'order'))->toBe('stale')->and($state('avocet-second-wing', 'order'))->toBe('stale');
    $entry = $this->getJson('/api/v1/rigs/avocet-second-wing')->json('history.0.entry');
    expect($entry['kind'])->toBe('shared')->and($entry['text'])->toBe('With Avocet: Order changed');
    $revision = $this->getJson('/api/v1/rigs/avocet')->json('revision');
    $this->patchJson('/api/v1/rigs/avocet', ['revision' => $revision, 'set' => (object) [], 'clear' => ['settings.order'], 'text' => 'Order left open'])->assertOk();
    expect($this->getJson('/api/v1/rigs/avocet-second-wing')->json('document.settings'))->not->toHaveKey('order');
    $this->postJson('/api/v1/rigs/avocet/undo', ['revision' => $this->getJson('/api/v1/rigs/avocet')->json('revision')])->assertOk();
    expect($this->getJson('/api/v1/rigs/avocet-second-wing')->json('document.settings.order'))->toBe('RETA');
    changed($this, 'avocet', ['settings.antenna' => 'in the fin'], 'Antenna moved');
    expect($this->getJson('/api/v1/rigs/avocet-second-wing')->json('document.settings'))->not->toHaveKey('antenna');
});

it('duplicates a rig for another receiver: what lies in the handset holds, what lies in hardware is open', function (array $told) {
    $this->demo();
    $slug = $this->postJson('/api/v1/rigs/avocet/duplicate', ['name' => 'Avocet again', ...$told])->assertCreated()->json('slug');
    $checks = collect($this->getJson("/api/v1/rigs/$slug")->json('review.readiness.checks'))->pluck('state', 'check');
    // The Mote's failsafe cannot be set: it does as delivered, whichever of them it is.
    expect($checks['order'])->toBe('holds')->and($checks['failsafe_set'])->toBe(isset($told['receiver']) ? 'holds' : 'open');
    foreach (['bind', 'direction', 'travel', 'failsafe_tested', 'power', 'antenna', 'range'] as $hardware) {
        expect($checks[$hardware])->toBe('open', $hardware);
    }
    expect($this->getJson("/api/v1/rigs/$slug")->json('review.readiness.sign_off.state'))->toBe('open');
})->with([
    'for a second craft with the same receiver' => [[]],
    'for another receiver' => [['receiver' => 'tarn-mote']],
]);

it('duplicates for no box that is not a receiver', function () {
    $this->demo();
    $this->postJson('/api/v1/rigs/avocet/duplicate', ['name' => 'X', 'receiver' => 'flip'])->assertStatus(422)->assertJsonPath('error.path', 'receiver');
});

it('takes everything out as one archive and back in, attachments included', function () {
    $this->demo();
    $this->post('/api/v1/rigs/avocet/entries/0/attachments', ['file' => UploadedFile::fake()->createWithContent('dump.txt', 'set a = 1')])->assertCreated();
    $file = tempnam(sys_get_temp_dir(), 'lg');
    app(App\Actions\ExportArchive::class)($file);
    $upload = fn (): UploadedFile => new UploadedFile($file, 'bench.zip', 'application/zip', null, true);
    $same = $this->post('/api/v1/archive/preview', ['file' => $upload()])->assertOk();
    expect($same->json('rigs.same'))->toHaveCount(5)->and($same->json('cards.added'))->toBe([]);
    $before = $this->get('/api/v1/rigs/avocet.json')->getContent();

    Rig::query()->delete();
    Card::query()->where('id', 'flip')->delete();
    expect($this->post('/api/v1/archive/preview', ['file' => $upload()])->json('rigs.added'))->toHaveCount(5);
    $this->post('/api/v1/archive/import', ['file' => $upload()])->assertOk()->assertJsonPath('cards.added', ['flip']);
    expect($this->get('/api/v1/rigs/avocet.json')->getContent())->toBe($before)->and(Attachment::query()->sole()->content)->toBe('set a = 1');

    // A rig that is there as it stands gets the files it has not; taking the archive in again changes nothing.
    Attachment::query()->delete();
    $this->post('/api/v1/archive/preview', ['file' => $upload()])->assertJsonCount(5, 'rigs.same')->assertJsonPath('attachments', 1);
    foreach ([1, 0] as $added) {
        $this->post('/api/v1/archive/import', ['file' => $upload()])->assertOk()->assertJsonPath('rigs', [])->assertJsonPath('attachments', $added);
        expect(Attachment::query()->sole()->content)->toBe('set a = 1')->and(Rig::query()->count())->toBe(5);
    }
    $this->post('/api/v1/archive/preview', ['file' => $upload()])->assertJsonPath('attachments', 0);

    changed($this, 'dunlin', ['settings.memory' => 99], 'Another memory');
    expect($this->post('/api/v1/archive/preview', ['file' => $upload()])->json('rigs.beside'))->toBe(['Dunlin']);
});

it('refuses a bad archive whole', function (Closure $file, string $code) {
    $this->demo();
    $before = [Card::query()->count(), Rig::query()->count()];
    $this->post('/api/v1/archive/import', ['file' => $file()])->assertStatus(422)->assertJsonPath('error.code', $code);
    expect([Card::query()->count(), Rig::query()->count()])->toBe($before);
})->with([
    'a way out of the archive' => [fn () => archiveOf(['../shelf/a.yaml' => 'x']), 'foreign_name'],
    'an absolute name' => [fn () => archiveOf(['/etc/passwd' => 'x']), 'foreign_name'],
    'zeros without end' => [fn () => archiveOf(['logbook.csv' => str_repeat("\0", 40_000_000)]), 'too_large'],
    'no archive' => [fn () => UploadedFile::fake()->createWithContent('bench.zip', 'PK but not really'), 'not_an_archive'],
    'a bad rig among good ones' => [fn () => archiveOf(['shelf/a.yaml' => "id: a\nkind: receiver\nname: A\n", 'rigs/b.json' => '{"linguator":9}']), 'newer_version'],
    'an attachment that is missing' => [fn () => archiveOf(['attachments.json' => '[{"file":"attachments/1-a.txt","rig":"a","position":0,"name":"x","at":"2026-11-24T10:00:00Z"}]']), 'missing_file'],
]);

it('refuses the sign-off with reasons while something stands against it', function () {
    $this->demo();
    $revision = $this->getJson('/api/v1/rigs/oystercatcher')->json('revision');
    $answer = $this->means('oystercatcher', 'sign-off', ['by' => 'Tern'])->assertStatus(422);
    expect($answer->json('error.code'))->toBe('not_ready')->and($answer->json('error.message'))->toContain('last commands')->toContain('Order');
    $this->means('avocet', 'sign-off', ['by' => ' '])->assertStatus(422)->assertJsonPath('error.path', 'by');
    $revision = $this->getJson('/api/v1/rigs/avocet')->json('revision');
    $this->means('avocet', 'sign-off', ['by' => 'Wren', 'note' => 'Again'])->assertOk();
    changed($this, 'avocet', ['settings.receiver_number' => 8], 'Another number');
    $signOff = $this->getJson('/api/v1/rigs/avocet')->json('review.readiness.sign_off');
    expect($signOff['state'])->toBe('stale')->and($signOff['reasons'][0])->toContain('receiver number changed from 7 to 8');
});

it('brings a rig back with the files it left behind, once', function () {
    $this->demo();
    $this->post('/api/v1/rigs/avocet/entries/2/attachments', ['file' => UploadedFile::fake()->createWithContent('wiring.png', base64_decode(PNG))], ['Accept' => 'application/json'])->assertCreated();
    $gone = $this->deleteJson('/api/v1/rigs/avocet')->assertOk()->json();
    expect(Attachment::query()->count())->toBe(0);
    $back = $this->postJson('/api/v1/rigs/import', ['text' => $gone['deleted'], 'left' => $gone['left']])->assertCreated();
    expect($back->json('attachments.0.name'))->toBe('wiring.png')->and($back->json('attachments.0.position'))->toBe(2)
        ->and($this->get('/api/v1/attachments/'.$back->json('attachments.0.id'))->assertOk()->getContent())->toBe(base64_decode(PNG));
    $again = $this->postJson('/api/v1/rigs/import', ['text' => $gone['deleted'], 'left' => $gone['left']])->assertCreated();
    expect($again->json('attachments'))->toBe([]);
});

it('goes by the order of the entries when the clock was set back', function () {
    $this->demo();
    $this->travelTo('2020-01-01 08:00:00');
    $rig = fn () => $this->getJson('/api/v1/rigs/avocet')->json();
    $this->means('avocet', 'make-check', ['check' => 'direction', 'passed' => false, 'observed' => 'left aileron goes the wrong way', 'by' => 'Wren'])->assertOk();
    $directions = collect($rig()['review']['readiness']['checks'])->firstWhere('check', 'direction');
    expect($directions['state'])->toBe('failed')->and($rig()['history'][0]['entry']['at'])->toStartWith('2020-01-01')
        ->and($rig()['review']['next']['sentence'])->not->toContain('Ready');
    $this->postJson('/api/v1/rigs/avocet/undo', ['revision' => $rig()['revision']])->assertOk();
    $this->getJson('/api/v1/logbook?to=2020-01-02')->assertOk()->assertJsonPath('entries.0.rig.slug', 'avocet');
});

it('refuses a day that is none', function (string $query) {
    $this->getJson("/api/v1/logbook?$query")->assertStatus(422)->assertJsonPath('error.path', explode('=', $query)[0]);
})->with(['from=yesterday', 'to=2026-99-99', 'to=2026-02-29']);

it('sets and tests a failsafe, and refuses what this receiver cannot do', function () {
    $this->demo();
    $rig = fn () => $this->getJson('/api/v1/rigs/oystercatcher')->json();
    $hop = fn (): array => $rig()['review']['failsafe']['hops'][0];
    $this->means('oystercatcher', 'set-failsafe', ['hop' => 1, 'mode' => 'sing', 'set_by' => 'handset'])->assertStatus(422)->assertJsonPath('error.path', 'mode');
    $this->means('oystercatcher', 'set-failsafe', ['hop' => 1, 'mode' => 'stored', 'set_by' => 'bind'])->assertStatus(422)->assertJsonPath('error.path', 'set_by');
    $this->means('oystercatcher', 'test-failsafe', ['hop' => 3, 'passed' => true])->assertStatus(422)->assertJsonPath('error.path', 'hop');
    expect($hop()['severity'])->toBe('stop')->and($hop()['recommended'])->toBe('stored');
    $this->means('oystercatcher', 'set-failsafe', ['hop' => 1, 'mode' => 'stored', 'set_by' => 'handset', 'stored_us' => [null, null, 1500, 1500]])->assertOk();
    expect($hop()['outcome'])->toBe('motor_off_neutral')->and(array_column($hop()['findings'], 'code'))->toBe(['F7']);
    $this->means('oystercatcher', 'test-failsafe', ['hop' => 1, 'passed' => true, 'observed' => 'motor stopped', 'by' => 'Wren'])->assertOk();
    expect($hop()['severity'])->toBe('ok');
    changed($this, 'oystercatcher', ['settings.channels' => [['channel' => 3, 'reversed' => true]]], 'Throttle reversed');
    expect(array_column($hop()['findings'], 'code'))->toBe(['F5', 'F7']);
});

it('restores every table there is', function () {
    $there = array_column(DB::select("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT IN ('migrations', 'sqlite_sequence')"), 'name');
    $restored = (new ReflectionClass(Backup::class))->getConstant('TABLES');
    expect($there)->toHaveCount(10)->toEqualCanonicalizing($restored);
});

it('copies the bench while it is in use, and brings it back', function () {
    $this->inFile(function (string $folder): void {
        $this->demo();
        $large = random_bytes(2_500_000);
        $capture = Capture::query()->findOrFail($this->post('/api/v1/captures', ['capture' => UploadedFile::fake()->createWithContent('large.bin', $large)])->assertStatus(201)->json('id'));
        $card = "id: mine\nname: Mine\nline: {baud: 57600, parity: odd, stop_bits: 1, inverted: false}\nchannels: {min: 6, max: 6}\nscale: {centre: 1500, us: 1, max: 4095}\nparts:\n  - {const: \"5aa5\"}\n  - {channels: words, order: big}\n";
        $this->postJson('/api/v1/formats/import', ['text' => $card])->assertStatus(201);
        $this->artisan('linguator:backup', ['file' => "$folder/kept.sqlite"])->assertSuccessful();
        $this->artisan('linguator:backup', ['file' => "$folder/kept.sqlite"])->assertExitCode(2);
        Rig::query()->where('slug', 'avocet')->delete();
        changed($this, 'dunlin', ['settings.memory' => 77], 'After the backup');
        $this->deleteJson('/api/v1/formats/mine')->assertOk();
        $this->travel(2)->days();
        $this->deleteJson("/api/v1/captures/$capture->id")->assertOk();
        $this->travel(2)->days();
        $later = Capture::query()->findOrFail($this->postJson('/api/v1/captures', ['text' => '0f 00'])->json('id'));
        expect(is_file($capture->path()))->toBeFalse();

        file_put_contents("$folder/short.sqlite", substr((string) file_get_contents("$folder/kept.sqlite"), 0, 20_000));
        file_put_contents("$folder/foreign.txt", 'not a database at all');
        (new PDO("sqlite:$folder/other.sqlite"))->exec('create table birds (name text)');
        foreach (['short.sqlite', 'foreign.txt', 'other.sqlite', 'nowhere.sqlite'] as $bad) {
            $this->artisan('linguator:restore', ['file' => "$folder/$bad"])->assertExitCode(2);
            expect(Rig::query()->count())->toBe(4);
        }
        $kept = app(Backup::class)->restore("$folder/kept.sqlite");
        expect(Rig::query()->count())->toBe(5)->and($this->getJson('/api/v1/rigs/dunlin')->json('document.settings.memory'))->toBe(6);
        // Formats of one's own come back, and captures with their files; what came later is gone, and kept in its turn.
        expect(file_get_contents($capture->path()) === $large)->toBeTrue()->and(is_file($later->path()))->toBeFalse()
            ->and(array_column($this->getJson('/api/v1/captures')->json('captures'), 'name'))->toContain('large.bin')->toHaveCount(4)
            ->and($this->getJson('/api/v1/formats')->json('own.0.id'))->toBe('mine');
        app(Backup::class)->restore($kept);
        expect(Rig::query()->count())->toBe(4)->and($this->getJson('/api/v1/rigs/dunlin')->json('document.settings.memory'))->toBe(77)
            ->and(file_get_contents($later->path()))->toBe('0f 00')->and(is_file($capture->path()))->toBeFalse()
            ->and($this->getJson('/api/v1/formats')->json('own'))->toBe([]);
    });
});

it('keeps games of practice in a backup, and takes one of before there were any', function () {
    $this->inFile(function (string $folder): void {
        $this->demo();
        $game = fn () => $this->postJson('/api/v1/rigs/avocet/practice/keep', ['seed' => '7', 'moves' => [['give_up' => true]]])->assertStatus(201);
        $game();
        $this->artisan('linguator:backup', ['file' => "$folder/kept.sqlite"])->assertSuccessful();
        $game();
        $this->artisan('linguator:restore', ['file' => "$folder/kept.sqlite"])->assertSuccessful();
        expect($this->getJson('/api/v1/practice')->json('games'))->toHaveCount(1);
        (new PDO("sqlite:$folder/kept.sqlite"))->exec('DROP TABLE practice_games');
        $this->artisan('linguator:restore', ['file' => "$folder/kept.sqlite"])->assertSuccessful();
        expect($this->getJson('/api/v1/practice')->json('games'))->toBe([]);
    });
});
