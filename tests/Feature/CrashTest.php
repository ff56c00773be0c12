<?php

declare(strict_types=1);

use Illuminate\Support\Facades\File;
use Tests\BenchServer;

/** Kills the server, for real, in the middle of a storm of writes. */
const ROUNDS = 20;

it('has every write that was confirmed, and a sound file, after kill -9 at any moment', function () {
    $folder = sys_get_temp_dir().'/linguator-crash-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $server = new BenchServer($folder);
    $confirmed = 0;
    try {
        expect($server->run(['php', 'artisan', 'linguator:prepare'])[0])->toBe(0);
        for ($round = 1; $round <= ROUNDS; $round++) {
            $server->start();
            [, $rig] = $server->ask('GET', '/api/v1/rigs/dunlin');
            expect($rig['document']['settings']['memory'])->toBe($confirmed === 0 ? 6 : $confirmed, "round $round: the last confirmed write");
            $revision = $rig['revision'];
            $killer = proc_open(['sh', '-c', sprintf('sleep %.3f; kill -9 -%d', random_int(60, 700) / 1000, $server->group())], [], $killerPipes);
            $end = microtime(true) + 20;
            while (microtime(true) < $end) {
                [$status, $answer] = $server->ask('PATCH', '/api/v1/rigs/dunlin', ['revision' => $revision, 'set' => ['settings.memory' => $confirmed + 1], 'text' => 'Storm']);
                // Killed between the head and the body: the answer did not arrive whole.
                if ($status !== 200 || $answer === null) {
                    break;
                }
                $confirmed++;
                $revision = $answer['revision'];
            }
            proc_close($killer);
            $server->kill();
            $file = new PDO("sqlite:$folder/bench.sqlite");
            expect($file->query('PRAGMA integrity_check')->fetchColumn())->toBe('ok');
            [$memory, $entries] = [$file->query("select memory from rigs where slug = 'dunlin'")->fetchColumn(), $file->query("select count(*) from rig_entries where entry like '%Storm%'")->fetchColumn()];
            // The write that was under way may be there or not, but whole: rig and history say the same.
            expect((int) $memory === $confirmed || (int) $memory === $confirmed + 1 || $confirmed === 0)->toBeTrue()->and($confirmed === 0 ? $entries <= 1 : (int) $entries === (int) $memory)->toBeTrue();
            $confirmed = max($confirmed, $entries > 0 ? (int) $memory : 0);
            unset($file);
        }
    } finally {
        // An open process would be waited for, for ever.
        $server->kill();
        File::deleteDirectory($folder);
    }
    expect($confirmed)->toBeGreaterThan(ROUNDS);
})->skip(! function_exists('curl_init') || ! function_exists('posix_kill'), 'needs curl and posix');
