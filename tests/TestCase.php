<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Testing\TestResponse;

abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    /** Puts the demo bench into this test's database. */
    public function demo(): static
    {
        $this->artisan('linguator:demo')->assertSuccessful();

        return $this;
    }

    /** What a person means to do with a rig, on the rig as it is now. */
    public function means(string $rig, string $intent, array $told, ?int $revision = null): TestResponse
    {
        $revision ??= $this->getJson("/api/v1/rigs/$rig")->json('revision');

        return $this->postJson("/api/v1/rigs/$rig/intents", ['revision' => $revision, 'intent' => $intent, 'told' => (object) $told]);
    }

    /**
     * A command as a person gives it, from cold.
     *
     * @param  array<string, string>  $env
     * @return array{int, string, string} Status, standard output, standard error.
     */
    public function fromCold(array $arguments, string $input = '', array $env = []): array
    {
        $process = proc_open(['php', base_path('artisan'), ...$arguments], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, null, $env + ['LINGUATOR_DB' => '/nowhere/bench.sqlite'] + getenv());
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        [$out, $said] = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];

        return [proc_close($process), (string) $out, (string) $said];
    }

    /** Sends a body as it is, also when it is no sound JSON. */
    public function raw(string $method, string $address, string $body): TestResponse
    {
        return $this->call($method, "/api/v1/$address", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'text/html'], content: $body);
    }

    /**
     * Works on a bench in a file of its own: the one in memory is inside this test's transaction. Gone afterwards, with its folder.
     *
     * @param  \Closure(string): void  $work  Gets the folder.
     * @param  string|null  $content  Of the database file; null: a new one.
     */
    public function inFile(\Closure $work, ?string $content = null): void
    {
        $folder = sys_get_temp_dir().'/linguator-bench-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents("$folder/live.sqlite", (string) $content);
        [$here, $storage, $captures] = [DB::getDefaultConnection(), $this->app->storagePath(), config('linguator.captures')];
        config(['database.connections.live' => ['database' => "$folder/live.sqlite"] + config('database.connections.sqlite'), 'linguator.captures' => "$folder/captures"]);
        DB::setDefaultConnection('live');
        $this->app->useStoragePath($folder);
        try {
            $this->artisan('migrate', ['--force' => true])->assertSuccessful();
            $work($folder);
        } finally {
            DB::setDefaultConnection($here);
            DB::purge('live');
            $this->app->useStoragePath($storage);
            config(['linguator.captures' => $captures]);
            File::deleteDirectory($folder);
        }
    }
}
