<?php

declare(strict_types=1);

use App\Actions\ArchiveBounds;
use App\Actions\ExportArchive;
use App\Actions\ImportArchive;
use App\Models\Alias;
use App\Models\Attachment;
use App\Models\Capture;
use App\Models\Card;
use App\Models\Format;
use App\Models\Rig;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** Writes the bench into a file in the folder. */
function exported(string $file): string
{
    app(ExportArchive::class)($file);

    return $file;
}

function emptied(): void
{
    foreach (['rigs', 'cards', 'aliases', 'formats', 'captures'] as $table) {
        DB::table($table)->delete();
    }
}

/** @return array<string, string> Contents by name. */
function unzipped(string $file): array
{
    $zip = new ZipArchive;
    $zip->open($file);
    $files = [];
    for ($k = 0; $k < $zip->numFiles; $k++) {
        $files[(string) $zip->getNameIndex($k)] = (string) $zip->getFromIndex($k);
    }

    return $files;
}

/** The same archive with other contents. */
function rezipped(string $file, array $files): string
{
    $zip = new ZipArchive;
    $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE);
    array_walk($files, static fn (string $content, string $name) => $zip->addFromString($name, $content));
    $zip->close();

    return $file;
}

const PICTURE = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';

/** A bench with something of every kind on it. */
function furnish(object $test): void
{
    $test->demo();
    $attach = fn (string $rig, int $entry, string $name, string $content) => $test->post("/api/v1/rigs/$rig/entries/$entry/attachments", ['file' => UploadedFile::fake()->createWithContent($name, $content)])->assertCreated();
    // The same content under two names on one entry, and twice under the same name.
    $attach('dunlin', 1, 'before.txt', 'pin 1: aileron');
    $attach('dunlin', 1, 'after.txt', 'pin 1: aileron');
    $attach('dunlin', 1, 'after.txt', 'pin 1: aileron');
    $attach('avocet', 0, 'wiring.png', base64_decode(PICTURE));
    $test->putJson('/api/v1/aliases', ['kind' => 'format', 'target' => 's100i', 'aliases' => ['the inverted one']])->assertOk();
    $test->postJson('/api/v1/formats/import', ['text' => "id: mine\nname: Mine\nline: {baud: 57600, parity: odd, stop_bits: 1, inverted: false}\nchannels: {min: 6, max: 6}\nscale: {centre: 1500, us: 1, max: 4095}\nparts:\n  - {const: \"5aa5\"}\n  - {channels: words, order: big}\n"])->assertStatus(201);
    $test->postJson('/api/v1/captures', ['text' => '0f 00 11', 'name' => 'three bytes'])->assertCreated();
    $revision = $test->getJson('/api/v1/rigs/avocet')->json('revision');
    $test->patchJson('/api/v1/rigs/avocet', ['revision' => $revision, 'set' => ['name' => 'Avocet, winter'], 'text' => 'Renamed'])->assertOk();
}

it('gives the same bytes again after a journey to another bench, whatever is on it', function () {
    $this->inFile(function (string $folder): void {
        furnish($this);
        $first = exported("$folder/first.zip");
        $this->travel(3)->days();
        expect(sha1_file(exported("$folder/again.zip")))->toBe(sha1_file($first));
        emptied();
        $this->artisan('linguator:import', ['file' => [$first]])->assertSuccessful();
        expect(sha1_file(exported("$folder/second.zip")))->toBe(sha1_file($first));
        // Everything is there, under its own name.
        expect(Attachment::query()->pluck('name')->sort()->values()->all())->toBe(['after.txt', 'after.txt', 'before.txt', 'wiring.png'])
            ->and(Rig::query()->where('slug', 'avocet')->sole()->name)->toBe('Avocet, winter')
            ->and(Capture::query()->pluck('name')->all())->toContain('three bytes')->toHaveCount(4)
            ->and(stream_get_contents(Capture::query()->where('name', 'three bytes')->sole()->stream()))->toBe('0f 00 11')
            ->and(Format::query()->sole()->id)->toBe('mine')->and(Alias::query()->sole()->alias)->toBe('the inverted one');
        foreach (['logbook.csv', 'attachments.json', 'captures.json'] as $list) {
            expect(unzipped("$folder/second.zip")[$list])->toBe(unzipped($first)[$list]);
        }
    });
});

it('knows a rig again whatever it is called by now, and brings one in beside another only once', function () {
    $this->inFile(function (string $folder): void {
        furnish($this);
        $archive = exported("$folder/bench.zip");
        $import = fn (): array => app(ImportArchive::class)->import($archive, false, ArchiveBounds::page());
        expect($import()['rigs'])->toBe([])->and(Rig::query()->count())->toBe(5)->and($import()['attachments'])->toBe(0);
        // Of two files alike one is gone: one comes back.
        Attachment::query()->where('name', 'after.txt')->firstOrFail()->delete();
        expect($import()['attachments'])->toBe(1)->and($import()['attachments'])->toBe(0)->and(Attachment::query()->where('name', 'after.txt')->count())->toBe(2);
        // Renamed since: the archive's one is an earlier state of the same rig, so it comes in beside it, once.
        $revision = $this->getJson('/api/v1/rigs/dunlin')->json('revision');
        $this->patchJson('/api/v1/rigs/dunlin', ['revision' => $revision, 'set' => ['name' => 'second'], 'text' => 'Renamed'])->assertOk();
        expect(app(ImportArchive::class)->preview($archive, ArchiveBounds::page())['rigs']['beside'])->toBe(['Dunlin']);
        expect($import()['rigs'])->toBe(['Dunlin'])->and($import()['rigs'])->toBe([])->and($import()['rigs'])->toBe([])->and(Rig::query()->count())->toBe(6);
        expect(Attachment::query()->count())->toBe(7);
        [$old, $new] = [Rig::query()->where('name', 'second')->sole(), Rig::query()->where('name', 'Dunlin')->sole()];
        expect($new->uid)->not->toBe($old->uid)->and($new->came_as)->toBe($old->uid);
        // Renamed in the archive's own bench, and exported again: nothing is doubled either.
        $again = exported("$folder/again.zip");
        expect(app(ImportArchive::class)->import($again, false, ArchiveBounds::page())['rigs'])->toBe([]);
    });
});

it('knows the rigs of an older archive again on the bench they came from', function () {
    $this->inFile(function (string $folder): void {
        $archive = base_path('tests/fixtures/old-bench/archive.zip');
        $preview = app(ImportArchive::class)->preview($archive, ArchiveBounds::page());
        expect($preview['rigs'])->toBe(['added' => [], 'beside' => [], 'same' => $preview['rigs']['same']])->and($preview['rigs']['same'])->toHaveCount(6);
        emptied();
        expect(app(ImportArchive::class)->import($archive, false, ArchiveBounds::page())['rigs'])->toHaveCount(6)
            ->and(app(ImportArchive::class)->import($archive, false, ArchiveBounds::page())['rigs'])->toBe([])
            // The old archive said of two files with the same content what each is called.
            ->and(Attachment::query()->count())->toBe(3);
    }, (string) gzdecode((string) file_get_contents(base_path('tests/fixtures/old-bench/backup.sqlite.gz'))));
});

it('leaves out names of things that are not here, and bounds how many there may be', function () {
    $this->inFile(function (string $folder): void {
        $this->demo();
        $files = unzipped(exported("$folder/bench.zip"));
        $name = fn (string $target, string $alias): array => ['kind' => 'format', 'target' => $target, 'alias' => $alias];
        $files['names.json'] = json_encode([$name('s100i', 'good'), $name('nowhere', 'lost'), $name('s100i', "bad\u{202E}name"), ...array_map(fn (int $k): array => $name('s420c', "name $k"), range(1, 30))]);
        $report = app(ImportArchive::class)->import(rezipped("$folder/names.zip", $files), false, ArchiveBounds::page());
        expect($report['names'])->toBe(21)->and($report['names_left_out'])->toBe(12)->and(Alias::query()->where('target', 'nowhere')->count())->toBe(0);
        $files['names.json'] = json_encode(array_map(fn (int $k): array => $name('s100i', "name $k"), range(1, 20_000)));
        expect(fn () => app(ImportArchive::class)->import(rezipped("$folder/many.zip", $files), false, ArchiveBounds::page()))->toThrow(Linguator\Core\Document\DocumentError::class, 'found 20000 entries');
    });
});

it('refuses a list that is not sound, and takes nothing', function (string $list, mixed $entries, string $code, string $path) {
    $this->inFile(function (string $folder) use ($list, $entries, $code, $path): void {
        furnish($this);
        $files = unzipped(exported("$folder/bench.zip"));
        emptied();
        $files[$list] = json_encode($entries);
        $upload = new UploadedFile(rezipped("$folder/bad.zip", $files), 'bench.zip', 'application/zip', null, true);
        $this->post('/api/v1/archive/import', ['file' => $upload], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('error.code', $code)->assertJsonPath('error.path', $path);
        expect(Rig::query()->count())->toBe(0)->and(Card::query()->count())->toBe(0)->and(Capture::query()->count())->toBe(0);
    });
})->with([
    'one file named five hundred times' => ['attachments.json', array_fill(0, 500, ['file' => 'attachments/dunlin-1-1.txt', 'rig' => 'dunlin', 'position' => 1, 'name' => 'x', 'at' => '2026-11-24T10:00:00Z']), 'twice', 'attachments.1.file'],
    'a file of another folder' => ['attachments.json', [['file' => 'rigs/dunlin.json', 'rig' => 'dunlin', 'position' => 1, 'name' => 'x', 'at' => '2026-11-24T10:00:00Z']], 'missing_file', 'attachments.0'],
    'a rig that is not in it' => ['attachments.json', [['file' => 'attachments/dunlin-1-1.txt', 'rig' => 'nobody', 'position' => 1, 'name' => 'x', 'at' => '2026-11-24T10:00:00Z']], 'missing_rig', 'attachments.0.rig'],
    'no moment' => ['captures.json', [['file' => 'captures/1-00000000.bin', 'name' => 'x', 'at' => 'yesterday']], 'invalid', 'captures.0.at'],
    'a text for a list' => ['names.json', 'none', 'invalid', 'file'],
    'a number for a name' => ['names.json', [['kind' => 'format', 'target' => 's100i', 'alias' => 7]], 'invalid', 'names.0.alias'],
    'an entry beyond the history' => ['attachments.json', [['file' => 'attachments/dunlin-1-1.txt', 'rig' => 'dunlin', 'position' => 999, 'name' => 'x', 'at' => '2026-11-24T10:00:00Z']], 'no_such_entry', 'entry'],
]);

it('takes on the command line what the page finds too large, and says so', function () {
    $this->inFile(function (string $folder): void {
        $this->demo();
        // Pictures do not shrink: forty of them in a bench that the page could never take in again.
        $noise = base64_decode(PICTURE).random_bytes(2_000_000);
        foreach (range(1, 40) as $k) {
            $picture = $noise.sprintf('%02d', $k);
            Attachment::query()->create(['rig_id' => Rig::query()->where('slug', 'dunlin')->sole()->id, 'position' => $k % 3, 'name' => "wing $k.png", 'type' => 'image/png', 'size' => strlen($picture), 'sha256' => hash('sha256', $picture), 'content' => $picture, 'at' => '2026-11-24T10:00:00Z']);
        }
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $first = exported("$folder/large.zip");
        expect(filesize($first))->toBeGreaterThan(71_000_000)->and(memory_get_peak_usage() - $before)->toBeLessThan(40_000_000);
        emptied();
        memory_reset_peak_usage();
        $this->artisan('linguator:import', ['file' => [$first]])->expectsOutputToContain('5 rigs')->assertSuccessful();
        expect(memory_get_peak_usage() - $before)->toBeLessThan(60_000_000)->and(Attachment::query()->count())->toBe(40);
        expect(sha1_file(exported("$folder/second.zip")))->toBe(sha1_file($first));
    });
    $lost = new UploadedFile('', 'bench.zip', 'application/zip', UPLOAD_ERR_INI_SIZE, true);
    $this->post('/api/v1/archive/preview', ['file' => $lost], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('error.message', fn (string $said): bool => str_contains($said, 'linguator:import'));
});

it('says on the command line what is wrong with a file in one sentence, and writes nothing', function (Closure $make, string $words) {
    $this->inFile(function (string $folder) use ($make, $words): void {
        file_put_contents("$folder/file", $make());
        $this->artisan('linguator:import', ['file' => ["$folder/file"]])->expectsOutputToContain($words)->assertExitCode(2);
        expect(Rig::query()->count() + Card::query()->count())->toBe(0);
    });
})->with([
    'half an archive' => [fn (): string => "PK\x03\x04 and no more", 'not a whole zip archive'],
    'nothing' => [fn (): string => '', 'ound'],
    'a card of no kind' => [fn (): string => "id: a\nname: A\n", 'kind'],
]);
