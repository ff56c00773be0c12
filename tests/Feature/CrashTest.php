<?php

declare(strict_types=1);

/** Kills the server, for real, in the middle of a storm of writes. */
const ROUNDS = 20;

it('has every write that was confirmed, and a sound file, after kill -9 at any moment', function () {
    $folder = sys_get_temp_dir().'/linguator-crash-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $db = "$folder/crash.sqlite";
    touch($db);
    $port = 18_000 + random_int(0, 2000);
    $base = "http://127.0.0.1:$port/api/v1";
    $env = ['LINGUATOR_DB' => $db, 'APP_KEY' => config('app.key'), 'APP_ENV' => 'testing', 'LOG_CHANNEL' => 'null', 'SESSION_DRIVER' => 'cookie', 'PHP_CLI_SERVER_WORKERS' => '4', 'PATH' => getenv('PATH'),
        'APP_CONFIG_CACHE' => "$folder/none.php", 'APP_ROUTES_CACHE' => "$folder/none2.php"];
    $run = function (array $command) use ($env): void {
        $process = proc_open($command, [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, base_path(), $env);
        expect(proc_close($process))->toBe(0);
    };
    $run(['php', 'artisan', 'migrate', '--force']);
    $run(['php', 'artisan', 'linguator:demo']);

    $ask = function (string $method, string $address, ?array $body = null) use ($base, $folder): array {
        $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents("$folder/jar"), $match) === 1 ? urldecode($match[1]) : '';
        $handle = curl_init($base.$address);
        curl_setopt_array($handle, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => "$folder/jar", CURLOPT_COOKIEFILE => "$folder/jar", CURLOPT_TIMEOUT => 5,
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', "X-XSRF-TOKEN: $token"], CURLOPT_POSTFIELDS => $body === null ? null : json_encode($body)]);
        $text = curl_exec($handle);
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        unset($handle);

        return [$status, is_string($text) ? json_decode($text, true) : null];
    };

    // The server and its workers are a process group of their own.
    $group = null;
    $kill = static function () use (&$group): void {
        $group !== null && posix_kill(-$group, SIGKILL);
        $group = null;
    };
    $confirmed = 0;
    try {
        for ($round = 1; $round <= ROUNDS; $round++) {
            $server = proc_open(['setsid', 'php', '-S', "127.0.0.1:$port", '-t', 'public', 'bin/server.php'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, base_path(), $env);
            $group = proc_get_status($server)['pid'];
            for ($k = 0; $k < 100 && $ask('GET', '/rigs')[0] !== 200; $k++) {
                usleep(30_000);
            }
            [, $rig] = $ask('GET', '/rigs/dunlin');
            expect($rig['document']['settings']['memory'])->toBe($confirmed === 0 ? 6 : $confirmed, "round $round: the last confirmed write");
            $revision = $rig['revision'];
            $killer = proc_open(['sh', '-c', sprintf('sleep %.3f; kill -9 -%d', random_int(60, 700) / 1000, $group)], [], $killerPipes);
            $end = microtime(true) + 20;
            while (microtime(true) < $end) {
                [$status, $answer] = $ask('PATCH', '/rigs/dunlin', ['revision' => $revision, 'set' => ['settings.memory' => $confirmed + 1], 'text' => 'Storm']);
                // Killed between the head and the body: the answer did not arrive whole.
                if ($status !== 200 || $answer === null) {
                    break;
                }
                $confirmed++;
                $revision = $answer['revision'];
            }
            proc_close($killer);
            $kill();
            proc_close($server);
            $file = new PDO("sqlite:$db");
            expect($file->query('PRAGMA integrity_check')->fetchColumn())->toBe('ok');
            [$memory, $entries] = [$file->query("select memory from rigs where slug = 'dunlin'")->fetchColumn(), $file->query("select count(*) from rig_entries where entry like '%Storm%'")->fetchColumn()];
            // The write that was under way may be there or not, but whole: rig and history say the same.
            expect((int) $memory === $confirmed || (int) $memory === $confirmed + 1 || $confirmed === 0)->toBeTrue()->and($confirmed === 0 ? $entries <= 1 : (int) $entries === (int) $memory)->toBeTrue();
            $confirmed = max($confirmed, $entries > 0 ? (int) $memory : 0);
            unset($file);
        }
    } finally {
        // An open process would be waited for, for ever.
        $kill();
    }
    expect($confirmed)->toBeGreaterThan(ROUNDS);
})->skip(! function_exists('curl_init'), 'needs curl');
