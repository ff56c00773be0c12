<?php

declare(strict_types=1);

use App\Console\CommandLine;
use App\Models\Alias;
use App\Models\Capture;
use App\Models\Rig;
use Illuminate\Support\Facades\File;

const ORDER = '{"handset":"AETR","reader":{"kind":"pins","order":"TAER"}}';

it('answers a verb the same with and without the framework', function () {
    [$status, $quick] = $this->fromCold(['linguator:order', '-'], ORDER);
    // An option sends it to the framework.
    [$slowStatus, $slow] = $this->fromCold(['linguator:order', '-', '--no-interaction'], ORDER);
    expect($status)->toBe(0)->and($slowStatus)->toBe(0)->and($quick)->toBe($slow)->and(json_decode($quick)->correct)->toBeFalse();
    foreach ([['linguator:order'], ['linguator:order', '/nowhere.json']] as $arguments) {
        [$status, $answer] = $this->fromCold($arguments, '{"handset":7}');
        expect($status)->toBe(2)->and($answer)->toBe($this->fromCold([...$arguments, '--no-interaction'], '{"handset":7}')[1])->and(json_decode($answer)->error->message)->not->toBe('');
    }
});

it('needs no bench and no framework for what needs none', function () {
    [$status, $answer, $said] = $this->fromCold(['linguator:decode', base_path('tests/fixtures/captures/s100i_clean.hex'), '--frames=1']);
    expect($status)->toBe(0)->and($said)->toBe('')->and(json_decode($answer)->format)->toBe('s100i');
    [$status, $answer] = $this->fromCold(['linguator:encode'], '{"format":"s100i","frames":[{"us":[1500]}]}');
    expect($status)->toBe(0)->and(json_decode($answer)->hex[0])->toStartWith('0f');
    // What it cannot know is left to the framework, with what came in on standard input.
    [$status, $answer] = $this->fromCold(['linguator:encode'], '{"format":"mine","frames":[{"us":[1500]}]}');
    expect($status)->toBe(2)->and(json_decode($answer)->error->code)->toBe('no_such_format');
    expect($this->fromCold(['linguator:order', '--help'])[1])->toContain('Usage');
});

it('knows a format of one\'s own on the command line, straight from the bench\'s file', function () {
    $this->inFile(function (string $folder): void {
        $this->postJson('/api/v1/formats/import', ['text' => "id: mine\nname: Mine\nline: {baud: 57600, parity: none, stop_bits: 1, inverted: false}\nchannels: {min: 6, max: 6}\nscale: {centre: 1500, us: 1, max: 4095}\nparts:\n  - {const: \"5aa5\"}\n  - {channels: words, order: big}\n"])->assertStatus(201);
        $bytes = implode('', array_map(static fn (int $k): string => '5aa5'.implode('', array_map(static fn (int $c): string => sprintf('%04x', 1400 + $k % 50 + $c), range(1, 6))), range(1, 120)));
        [$status, $answer] = $this->fromCold(['linguator:decode', '-', '--kind=hex', '--as=mine'], $bytes, ['LINGUATOR_DB' => "$folder/live.sqlite"]);
        expect($status)->toBe(0)->and(json_decode($answer)->format)->toBe('mine')->and(json_decode($answer)->frames->good)->toBe(120);
        // And through the framework, which finds it too.
        [$status, $encoded] = $this->fromCold(['linguator:encode'], '{"format":"mine","frames":[{"us":[1500,1500,1500,1500,1500,1500]}]}', ['LINGUATOR_DB' => "$folder/live.sqlite"]);
        expect($status)->toBe(0)->and(json_decode($encoded)->hex[0])->toStartWith('5aa5');
    });
});

it('reads a plain command line, and leaves any other to the framework', function (array $arguments, ?array $read) {
    $line = CommandLine::of($arguments);
    expect($line === null ? null : [$line->command, $line->file, $line->options])->toBe($read);
})->with([
    [['linguator:order'], ['linguator:order', null, []]],
    [['linguator:order', '-'], ['linguator:order', '-', []]],
    [['linguator:decode', 'a b.csv', '--kind=csv', '--max-rate=50'], ['linguator:decode', 'a b.csv', ['kind' => 'csv', 'max-rate' => '50']]],
    [['linguator:decode', '--line=a=b'], ['linguator:decode', null, ['line' => 'a=b']]],
    [['linguator:order', '--help'], null], [['linguator:order', '-v'], null], [['--version'], null], [[], null], [['linguator:decode', 'a', 'b'], null], [['linguator:decode', '--kind', 'csv'], null],
]);

it('says when an answer cannot be written to its end', function () {
    $process = proc_open(['php', base_path('artisan'), 'linguator:order', '-'], [['pipe', 'r'], ['file', '/dev/full', 'w'], ['pipe', 'w']], $pipes);
    fwrite($pipes[0], ORDER);
    fclose($pipes[0]);
    $said = (string) stream_get_contents($pipes[2]);
    expect(proc_close($process))->toBe(2)->and($said)->toContain('no room')->not->toContain('Stack');
})->skip(! file_exists('/dev/full'), 'needs /dev/full');

it('refuses a port that is none', function (string $port) {
    [$status, $answer] = $this->fromCold(['linguator:stand-in', "--port=$port"]);
    expect($status)->toBe(2)->and(json_decode($answer)->error->path)->toBe('port')->and(json_decode($answer)->error->message)->toContain('1 to 65535');
})->with(['abc', '99999', '-1', '80.5', '0', '']);

it('overwrites no archive, and says where one cannot be written', function () {
    $this->inFile(function (string $folder): void {
        $this->demo();
        $this->artisan('linguator:archive', ['file' => "$folder/bench.zip"])->expectsOutputToContain('Kept in')->assertSuccessful();
        $this->artisan('linguator:archive', ['file' => "$folder/bench.zip"])->expectsOutputToContain('already')->assertExitCode(2);
        $this->artisan('linguator:archive', ['file' => "$folder/nowhere/bench.zip"])->assertExitCode(2);
        expect(fileperms("$folder/bench.zip") & 0077)->toBeLessThanOrEqual(0044);
    });
});

it('overwrites no names and takes no rig off that somebody has changed meanwhile', function () {
    $this->demo();
    $put = fn (array $aliases, array $were) => $this->putJson('/api/v1/aliases', ['kind' => 'format', 'target' => 's100i', 'aliases' => $aliases, 'were' => $were]);
    $put(['first'], [])->assertOk();
    $put(['second'], [])->assertStatus(409)->assertJsonPath('current.aliases', ['first']);
    expect(Alias::query()->pluck('alias')->all())->toBe(['first']);
    $put(['second', 'first'], ['first'])->assertOk();

    $revision = $this->getJson('/api/v1/rigs/mudlark')->json('revision');
    $this->means('mudlark', 'write-note', ['text' => 'Still needed'], $revision)->assertOk();
    $this->deleteJson('/api/v1/rigs/mudlark', ['revision' => $revision])->assertStatus(409);
    expect(Rig::query()->where('slug', 'mudlark')->exists())->toBeTrue();
    $this->deleteJson('/api/v1/rigs/mudlark', ['revision' => $revision + 1])->assertOk();
});

it('answers every address of the API in JSON, whatever bytes it is made of', function (string $address) {
    $answer = $this->call('GET', $address, server: ['HTTP_ACCEPT' => 'text/html']);
    expect($answer->status())->toBeIn([404, 422])->and($answer->json('error.message'))->toBeString()->not->toBe('');
})->with(['/api/v1/rigs/%ff', '/api/v1/%c3%28', '/api/v1/shelf/%00', '/api/v1/rigs/%ff.json', '/api/nowhere']);

it('clears away what a server that was killed has left behind', function () {
    $folder = Capture::folder();
    File::ensureDirectoryExists($folder);
    $left = ["$folder/.0123456789abcdef", "$folder/.progress-".hash('sha256', 'x'), "$folder/.progress-".hash('sha256', 'x').'-stop'];
    foreach ($left as $file) {
        file_put_contents($file, 'x');
        touch($file, time() - 7200);
    }
    file_put_contents("$folder/.fedcba9876543210", 'under way');
    file_put_contents("$folder/.listener-0", '');
    touch("$folder/.listener-0", time() - 7200);
    $this->postJson('/api/v1/captures', ['text' => '0f 00'])->assertCreated();
    expect(array_filter($left, is_file(...)))->toBe([])->and(is_file("$folder/.fedcba9876543210"))->toBeTrue()->and(is_file("$folder/.listener-0"))->toBeTrue();
    array_map(unlink(...), ["$folder/.fedcba9876543210", "$folder/.listener-0"]);
});

it('refuses a recording that would fill the disk, and a pulse train as bytes', function () {
    $log = "t_ms,ch1\n".implode("\n", array_map(static fn (int $k): string => (20 * $k).',1500', range(0, 9)))."\n1000000000,1500\n";
    $id = $this->postJson('/api/v1/captures', ['text' => $log, 'name' => 'long.csv'])->assertCreated()->json('id');
    $export = fn (string $as, string $format = '') => $this->postJson("/api/v1/captures/$id/export", ['options' => (object) [], 'as' => $as, 'format' => $format]);
    $export('wav')->assertStatus(422)->assertJsonPath('error.code', 'too_large')->assertJsonPath('error.message', fn (string $said): bool => str_contains($said, '600 s'));
    $export('bin', 'ppm')->assertStatus(422)->assertJsonPath('error.path', 'format');
    $export('csv')->assertOk();
});
