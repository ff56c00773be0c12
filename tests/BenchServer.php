<?php

declare(strict_types=1);

namespace Tests;

/** A bench served for real, in a folder of its own: PHP's server with its workers, and a client that keeps cookies as a browser does. */
final class BenchServer
{
    public readonly string $base;

    /** @var array<string, string> */
    private array $env;

    private ?int $group = null;

    /** @var resource|null */
    private mixed $process = null;

    /** @param  array<string, string>  $env  Besides what every bench has. */
    public function __construct(public readonly string $folder, array $env = [])
    {
        $port = 18_000 + random_int(0, 4000);
        $this->base = "http://127.0.0.1:$port";
        $this->env = $env + [
            'LINGUATOR_DB' => "$folder/bench.sqlite", 'APP_KEY' => config('app.key'), 'APP_ENV' => 'production', 'LOG_CHANNEL' => 'null', 'PHP_CLI_SERVER_WORKERS' => '4', 'PATH' => (string) getenv('PATH'),
            'APP_CONFIG_CACHE' => "$folder/config.php", 'APP_ROUTES_CACHE' => "$folder/routes.php", 'APP_EVENTS_CACHE' => "$folder/events.php", 'PHP_INI_SCAN_DIR' => ':'.base_path('config/php'),
        ];
    }

    /**
     * @param  list<string>  $command
     * @return array{int, string} Status, and what it said.
     */
    public function run(array $command): array
    {
        $process = proc_open($command, [1 => ['pipe', 'w'], 2 => ['redirect', 1]], $pipes, base_path(), $this->env);
        $said = (string) stream_get_contents($pipes[1]);

        return [proc_close($process), $said];
    }

    public function start(): void
    {
        $port = parse_url($this->base, PHP_URL_PORT);
        // A process group of its own: the workers end with it.
        $this->process = proc_open(['setsid', 'php', '-S', "127.0.0.1:$port", '-t', 'public', 'bin/server.php'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, base_path(), $this->env);
        $this->group = proc_get_status($this->process)['pid'];
        for ($k = 0; $k < 200 && $this->ask('GET', '/api/v1/verbs')[0] !== 200; $k++) {
            usleep(30_000);
        }
    }

    public function group(): int
    {
        return (int) $this->group;
    }

    /**
     * @param  array<mixed>|string|null  $body  A list of fields is sent as a form where it holds a file.
     * @param  list<string>  $headers
     * @return array{int, mixed, string} Status, document, text.
     */
    public function ask(string $method, string $address, array|string|null $body = null, array $headers = []): array
    {
        // Not in the folder: that may be a disk without room.
        $jar = sys_get_temp_dir().'/linguator-jar-'.getmypid().'-'.parse_url($this->base, PHP_URL_PORT);
        $token = preg_match('/-XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($jar), $match) === 1 ? urldecode($match[1]) : '';
        $isForm = is_array($body) && array_filter($body, static fn (mixed $value): bool => $value instanceof \CURLFile) !== [];
        $handle = curl_init($this->base.$address);
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar, CURLOPT_TIMEOUT => 20,
            CURLOPT_HTTPHEADER => [...($isForm ? [] : ['Content-Type: application/json']), 'Accept: application/json', "X-XSRF-TOKEN: $token", ...$headers],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => is_string($body) || $isForm ? $body : json_encode($body)]));
        $text = curl_exec($handle);
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        unset($handle);

        return [$status, is_string($text) ? json_decode($text, true) : null, (string) $text];
    }

    public function kill(): void
    {
        $this->group !== null && posix_kill(-$this->group, SIGKILL);
        $this->group = null;
        $this->process !== null && proc_close($this->process);
        $this->process = null;
    }
}
