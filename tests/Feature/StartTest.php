<?php

declare(strict_types=1);

use App\Actions\PrepareBench;
use App\Http\Bench;
use App\Http\KnownHosts;
use Illuminate\Support\Facades\DB;

it('tells a file that cannot be a bench in one sentence, and leaves it as it was', function (Closure $make, string $code, string $words) {
    $file = sys_get_temp_dir().'/linguator-start-'.bin2hex(random_bytes(4)).'.sqlite';
    $make($file);
    $before = is_file($file) ? sha1_file($file) : null;
    config(['database.connections.sqlite.database' => $file]);
    $trouble = (new PrepareBench)($file);
    config(['database.connections.sqlite.database' => ':memory:']);
    expect($trouble?->code)->toBe($code)->and($trouble->sentence)->toContain($words)->toContain(basename($file))->not->toContain("\n");
    expect(is_file($file) ? sha1_file($file) : null)->toBe($before);
    array_map(unlink(...), array_filter(glob("$file*"), is_file(...)));
    is_dir($file) && rmdir($file);
})->with([
    'a text' => [fn (string $file) => file_put_contents($file, "hello\n"), 'not_a_bench', 'LINGUATOR_DB'],
    'another program\'s database' => [fn (string $file) => (new PDO("sqlite:$file"))->exec('create table birds (name text)'), 'foreign', 'another program'],
    'another program\'s database that is migrated too' => [fn (string $file) => (new PDO("sqlite:$file"))->exec("create table migrations (migration text); insert into migrations values ('2019_birds'); create table birds (name text)"), 'foreign', 'another program'],
    'one of a newer version' => [fn (string $file) => (new PDO("sqlite:$file"))->exec("create table migrations (migration text); insert into migrations values ('2031_01_01_000099_later'); create table rigs (name text)"), 'newer', 'newer Linguator'],
    'one that is cut off' => [function (string $file): void {
        file_put_contents($file, substr((string) gzdecode((string) file_get_contents(base_path('tests/fixtures/old-bench/backup.sqlite.gz'))), 0, 300_000));
    }, 'damaged', 'linguator:restore'],
    'one with a page of noise' => [function (string $file): void {
        $bench = (string) gzdecode((string) file_get_contents(base_path('tests/fixtures/old-bench/backup.sqlite.gz')));
        mt_srand(4);
        file_put_contents($file, substr_replace($bench, implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(1, 40_000))), 8192, 40_000));
    }, 'damaged', 'Move it away'],
    'a folder' => [fn (string $file) => mkdir($file), 'unreadable', 'cannot be read'],
]);

it('names the latest backup as the way back', function () {
    $folder = sys_get_temp_dir().'/linguator-storage-'.bin2hex(random_bytes(4));
    mkdir("$folder/backups", 0700, true);
    array_map(static fn (string $name) => touch("$folder/backups/$name"), ['2026-01-01_080000.sqlite', '2026-11-01_080000.sqlite']);
    $storage = app()->storagePath();
    app()->useStoragePath($folder);
    expect(App\Database\Trouble::named('damaged')->sentence)->toContain("linguator:restore $folder/backups/2026-11-01_080000.sqlite");
    app()->useStoragePath($storage);
    Illuminate\Support\Facades\File::deleteDirectory($folder);
});

it('needs the same versions everywhere', function () {
    preg_match_all("/^(\w+)='?([^'\n]*)'?$/m", (string) file_get_contents(base_path('bin/needs')), $found);
    $needs = array_combine($found[1], $found[2]);
    [$package, $composer, $lock] = array_map(static fn (string $file): array => json_decode((string) file_get_contents(base_path($file)), true), ['package.json', 'composer.json', 'package-lock.json']);
    $lines = explode(' ', $needs['NEEDS_NODE']);
    $last = array_pop($lines);
    expect($package['engines']['node'])->toBe(implode(' || ', [...array_map(static fn (string $line): string => "^$line.0", $lines), ">=$last.0"]))
        ->and($package['engines']['npm'])->toBe(">={$needs['NEEDS_NPM']}.0")
        ->and($composer['require']['php'])->toBe("^{$needs['NEEDS_PHP']}")
        ->and($lock['packages']['']['engines'])->toBe($package['engines']);
});

it('installs the very versions that are written down, of every PHP package there is', function () {
    $installed = json_decode((string) file_get_contents(base_path('vendor/composer/installed.json')), true);
    $composer = json_decode((string) file_get_contents(base_path('composer.json')), true);
    expect(count($installed['packages']))->toBeGreaterThan(100);
    foreach ($installed['packages'] as $package) {
        $pinned = $composer[in_array($package['name'], $installed['dev-package-names'], true) ? 'require-dev' : 'require'][$package['name']] ?? null;
        expect($pinned)->toBe(ltrim($package['version'], 'v'), $package['name']);
    }
});

it('answers to its own names only', function (?string $host, string $configured, bool $isKnown) {
    expect(KnownHosts::refusal($host, $configured) === null)->toBe($isKnown);
})->with([
    ['127.0.0.1', '', true], ['127.0.0.1:8080', '', true], ['localhost:8080', '', true], ['LOCALHOST', '', true], ['[::1]:8080', '', true], ['[::1]', '', true],
    ['bench.home', 'bench.home', true], ['bench.home:8080', ' other , Bench.Home ', true],
    ['evil.example', '', false], ['127.0.0.1.evil.example', '', false], ['localhost.', '', false], ['evil-localhost', '', false], ['a.localhost', '', false], ['localhost:8080:9', '', false], ['127.0.0.1@evil.example', '', false],
    ['', '', false], [null, '', false], ['127.1', '', false], ['[::1', '', false], ["localhost\nX: y", '', false], ['127.0.0.1:999999', '', false], ['bench.home', '', false],
]);

it('answers a foreign name with 421 and a sentence, whatever is asked for', function (string $method, string $address) {
    $this->demo();
    $answer = $this->call($method, "http://evil.example$address", server: ['HTTP_HOST' => 'evil.example', 'CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'text/html'], content: '{}');
    expect($answer->status())->toBe(421)->and($answer->headers->get('X-Content-Type-Options'))->toBe('nosniff')->and($answer->headers->getCookies())->toBe([])
        ->and($answer->getContent())->toContain('evil.example')->not->toContain('Avocet');
    str_starts_with($address, '/api') && $answer->assertJsonPath('error.code', 'foreign_host');
})->with([
    ['GET', '/'], ['GET', '/rigs/avocet'], ['GET', '/api/v1/rigs'], ['DELETE', '/api/v1/rigs/avocet'], ['POST', '/api/v1/order'], ['POST', '/api/v1/decode'], ['GET', '/api/v1/archive.zip'], ['GET', '/nowhere'], ['OPTIONS', '/api/v1/rigs'],
]);

it('answers pages of its own origin only', function (string $origin, int $status) {
    $answer = $this->call('POST', 'http://127.0.0.1:8080/api/v1/order', server: ['HTTP_HOST' => '127.0.0.1:8080', 'HTTP_ORIGIN' => $origin, 'CONTENT_TYPE' => 'application/json'], content: '{"handset":"AETR","reader":{"kind":"pins","order":"AETR"}}');
    expect($answer->status())->toBe($status);
})->with([['http://127.0.0.1:8080', 200], ['http://127.0.0.1:8081', 403], ['http://evil.example', 403], ['null', 403], ['https://127.0.0.1:8080', 200]]);

it('takes questions of verbs as JSON only, of a bounded size', function (string $type, string $body, int $status, string $code) {
    $answer = $this->call('POST', '/api/v1/order', server: $type === '' ? [] : ['CONTENT_TYPE' => $type], content: $body);
    expect($answer->status())->toBe($status)->and($answer->json('error.code'))->toBe($code);
})->with([
    'a form' => ['application/x-www-form-urlencoded', '{}', 415, 'not_json'],
    'plain text' => ['text/plain', '{}', 415, 'not_json'],
    'JSON that calls itself something else' => ['text/plain; charset=application/json', '{}', 415, 'not_json'],
    'four megabytes' => ['application/json', '{"handset":"'.str_repeat('A', 4_000_000).'"}', 413, 'too_large'],
    'JSON' => ['application/json; charset=utf-8', '{}', 422, 'missing_key'],
]);

it('bounds the rows of a log, and stays small doing so', function (int $rows, string $words) {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $answer = $this->call('POST', '/api/v1/movement', server: ['CONTENT_TYPE' => 'application/json'], content: '{"log":['.implode(',', array_fill(0, $rows, '{"t_ms":0,"us":[1]}')).'],"sequence":["T"]}');
    expect($answer->status())->toBe(422)->and($answer->json('error.message'))->toContain($words)->and(memory_get_peak_usage() - $before)->toBeLessThan(100_000_000);
})->with([[51_000, 'expected at most 50000'], [140_000, 'lists and objects']]);

it('keeps nothing in stores between, sniffs nothing, and ends no cookie on a day', function () {
    $this->demo();
    foreach (['/', '/api/v1/rigs', '/api/v1/archive.zip', '/api/v1/rigs/avocet.json', '/nowhere', '/api/v1/nowhere'] as $address) {
        $answer = $this->get($address);
        expect($answer->headers->get('Cache-Control'))->toContain('private')->not->toContain('public')->and($answer->headers->get('X-Content-Type-Options'))->toBe('nosniff');
    }
    $cookies = $this->get('/api/v1/rigs')->headers->getCookies();
    expect($cookies)->not->toBe([]);
    foreach ($cookies as $cookie) {
        expect($cookie->getExpiresTime())->toBe(0)->and($cookie->getSameSite())->toBe('strict');
    }
});

it('marks its cookies, so that two benches on one machine do not take each other\'s', function () {
    expect(Bench::mark('/a/linguator.sqlite', 'key'))->not->toBe(Bench::mark('/b/linguator.sqlite', 'key'))->not->toBe(Bench::mark('/a/linguator.sqlite', 'another'))->toMatch('/^[0-9a-f]{8}$/D');
    $names = array_map(static fn ($cookie): string => $cookie->getName(), $this->get('/')->headers->getCookies());
    expect($names)->toContain(config('linguator.mark').'-XSRF-TOKEN')->not->toContain('XSRF-TOKEN');
});

it('refuses names that turn the direction of text or hold control characters', function (string $name) {
    $this->postJson('/api/v1/rigs', ['name' => $name, 'craft_kind' => 'boat'])->assertStatus(422)->assertJsonPath('error.path', 'name')->assertJsonPath('error.message', fn (string $said): bool => str_contains($said, 'plain text on one line'));
    expect(DB::table('rigs')->count())->toBe(0);
})->with(["Ave\u{202E}tco", "Bell\x07", "Two\nlines", "N\0ul", "Isolate\u{2066}x"]);

it('says what is wrong when the bench\'s file is gone while it is served', function () {
    config(['database.connections.gone' => ['database' => '/nowhere/at/all.sqlite'] + config('database.connections.sqlite')]);
    DB::setDefaultConnection('gone');
    $this->getJson('/api/v1/rigs')->assertStatus(503)->assertJsonPath('error.code', 'gone');
    DB::setDefaultConnection('sqlite');
});

it('fetches the script of the screen asked for beside the application\'s, and only one that was built', function (string $address, string $script) {
    $manifest = json_decode((string) file_get_contents(public_path('build/manifest.json')), true);
    $page = (string) $this->withVite()->get($address)->assertOk()->getContent();
    expect($page)->toContain($manifest['resources/js/main.ts']['file'])->toContain($manifest["resources/js/pages/$script"]['file']);
})->with([
    ['/rigs/avocet', 'rig/RigPage.vue'], ['/rigs/avocet/wiring', 'rig/RigPage.vue'], ['/rigs/avocet/dance', 'dance/DancePage.vue'], ['/shelf/weft-8', 'shelf/ShelfPage.vue'],
    ['/signals', 'signals/SignalPage.vue'], ['/signals/3', 'signals/SignalPage.vue'], ['/dry-bench', 'drybench/DryBenchPage.vue'], ['/fault', 'fault/FaultPage.vue'],
    ['/practice/avocet/1/7', 'practice/PracticePage.vue'], ['/tools/tune', 'tools/ToolPage.vue'],
]);

it('fetches nothing of a rig\'s page for its sheet, its label and what it was', function (string $address) {
    expect($this->withVite()->get($address)->assertOk()->getContent())->toContain('assets/main-')->not->toContain('RigPage');
})->with(['/rigs/avocet/sheet', '/rigs/avocet/label', '/rigs/avocet/at/3', '/', '/nowhere']);
