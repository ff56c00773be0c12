<?php

declare(strict_types=1);

use Tests\BenchServer;

/*
 * A disk that is full, and one that may not be written to, for real: a small one in memory with the bench, its caches and its temporary files.
 */

/** @param  Closure(BenchServer, string): void  $work */
function onSmallDisk(Closure $work): void
{
    $disk = sys_get_temp_dir().'/linguator-disk-'.bin2hex(random_bytes(4));
    mkdir($disk);
    exec('mount -t tmpfs -o size=16m tmpfs '.escapeshellarg($disk).' 2>&1', $said, $status);
    if ($status !== 0) {
        rmdir($disk);
        test()->markTestSkipped('mounting a small disk is not allowed here: '.implode(' ', $said));
    }
    foreach (['views', 'cache', 'sessions'] as $folder) {
        mkdir("$disk/storage/framework/$folder", 0700, true);
    }
    mkdir("$disk/storage/logs");
    $server = new BenchServer($disk, ['LARAVEL_STORAGE_PATH' => "$disk/storage", 'TMPDIR' => $disk, 'LOG_CHANNEL' => 'kept']);
    try {
        expect($server->run(['php', 'artisan', 'linguator:prepare'])[0])->toBe(0)->and($server->run(['php', 'artisan', 'optimize', '--quiet'])[0])->toBe(0);
        $server->start();
        $work($server, $disk);
    } finally {
        $server->kill();
        exec('umount -l '.escapeshellarg($disk));
        rmdir($disk);
    }
}

const READ = ['/', '/api/v1/rigs', '/api/v1/rigs/avocet', '/api/v1/rigs/avocet/at/2', '/api/v1/rigs/dunlin.json', '/api/v1/logbook', '/api/v1/shelf', '/api/v1/captures', '/api/v1/search?q=brack', '/icon.svg'];

it('goes on reading when the disk is full, and says of every write that there is no room', function () {
    onSmallDisk(function (BenchServer $server, string $disk): void {
        $server->ask('GET', '/');
        $revision = $server->ask('GET', '/api/v1/rigs/avocet')[1]['revision'];
        $upload = "$disk/capture.hex";
        file_put_contents($upload, str_repeat('0f00 ', 100));
        $filler = fopen("$disk/filler", 'wb');
        // As full as a disk can be: to the last byte.
        foreach ([65536, 1024, 1] as $chunk) {
            while (@fwrite($filler, str_repeat('x', $chunk)) === $chunk) {
            }
        }
        foreach (READ as $address) {
            expect($server->ask('GET', $address)[0])->toBe(200, $address);
        }
        expect($server->ask('POST', '/api/v1/order', ['handset' => 'AETR', 'reader' => ['kind' => 'pins', 'order' => 'TAER']])[0])->toBe(200);
        $writes = [
            ['POST', '/api/v1/rigs', ['name' => 'Heron', 'craft_kind' => 'boat']],
            ['PATCH', '/api/v1/rigs/avocet', ['revision' => $revision, 'set' => ['settings.memory' => 31], 'text' => 'Memory']],
            ['POST', '/api/v1/rigs/avocet/intents', ['revision' => $revision, 'intent' => 'make-check', 'told' => ['check' => 'range', 'passed' => true, 'observed' => 'all answered', 'by' => 'Wren']]],
            ['POST', '/api/v1/captures', ['text' => str_repeat('0f00', 50_000)]],
            ['POST', '/api/v1/captures', ['capture' => new CURLFile($upload)]],
            ['DELETE', '/api/v1/rigs/dunlin', null],
            ['GET', '/api/v1/archive.zip', null],
        ];
        foreach ($writes as [$method, $address, $body]) {
            [$status, $answer, $text] = $server->ask($method, $address, $body);
            expect($status)->toBe(507, "$method $address: ".substr($text, 0, 200))->and($answer['error']['code'])->toBe('no_room')->and($answer['error']['message'])->toContain('no room left');
        }
        [$status, $said] = $server->run(['php', 'artisan', 'linguator:backup', "$disk/backup.sqlite"]);
        expect($status)->toBe(2)->and($said)->toContain('no room left')->not->toContain('SQLSTATE')->and(file_exists("$disk/backup.sqlite"))->toBeFalse();
        // With room again everything goes on, and nothing was half written.
        ftruncate($filler, 0);
        expect($server->ask('PATCH', '/api/v1/rigs/avocet', ['revision' => $revision, 'set' => ['settings.memory' => 31], 'text' => 'Memory'])[1]['document']['settings']['memory'])->toBe(31);
        expect((new PDO("sqlite:$disk/bench.sqlite"))->query('PRAGMA integrity_check')->fetchColumn())->toBe('ok');
        fclose($filler);
    });
});

it('goes on reading when the disk may not be written to, and says so of every write', function () {
    onSmallDisk(function (BenchServer $server, string $disk): void {
        $server->ask('GET', '/');
        exec('mount -o remount,ro '.escapeshellarg($disk));
        foreach (READ as $address) {
            expect($server->ask('GET', $address)[0])->toBe(200, $address);
        }
        [$status, $answer] = $server->ask('POST', '/api/v1/rigs', ['name' => 'Heron', 'craft_kind' => 'boat']);
        expect($status)->toBe(507)->and($answer['error']['code'])->toBe('read_only')->and($answer['error']['message'])->toContain("$disk/bench.sqlite");
        [$status, $said] = $server->run(['php', 'artisan', 'linguator:prepare']);
        expect($status)->toBe(1)->and(substr_count(trim($said), "\n"))->toBe(0)->and($said)->toContain('cannot be written to');
        exec('mount -o remount,rw '.escapeshellarg($disk));
        expect($server->ask('POST', '/api/v1/rigs', ['name' => 'Heron', 'craft_kind' => 'boat'])[0])->toBe(201);
    });
});
