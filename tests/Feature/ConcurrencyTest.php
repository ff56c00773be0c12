<?php

declare(strict_types=1);

use App\Database\Sqlite;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;

/** A bench in a file, as a server has it: other connections can be opened to it. */
function benchInFile(mixed $test): string
{
    $file = sys_get_temp_dir().'/linguator-two-'.bin2hex(random_bytes(4)).'.sqlite';
    touch($file);
    config()->set('database.connections.live', ['database' => $file, 'busy_timeout' => 300] + config('database.connections.sqlite'));
    DB::setDefaultConnection('live');
    $test->artisan('migrate', ['--force' => true])->assertSuccessful();
    $test->demo();

    return $file;
}

afterEach(function () {
    DB::purge('live');
    DB::setDefaultConnection('sqlite');
    array_map(unlink(...), glob(sys_get_temp_dir().'/linguator-two-*') ?: []);
});

it('lets nobody write between what a transaction has read and what it writes', function () {
    $file = benchInFile($this);
    expect(DB::connection())->toBeInstanceOf(Sqlite::class);
    $other = new PDO("sqlite:$file", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::ATTR_TIMEOUT => 0]);
    DB::transaction(function () use ($other) {
        $revision = Rig::query()->where('slug', 'dunlin')->value('revision');
        expect(fn () => $other->exec("UPDATE rigs SET revision = 99 WHERE slug = 'dunlin'"))->toThrow(PDOException::class, 'locked');
        // Reading goes on all the while.
        expect((int) $other->query("SELECT revision FROM rigs WHERE slug = 'dunlin'")->fetchColumn())->toBe($revision);
        Rig::query()->where('slug', 'dunlin')->update(['revision' => $revision + 1]);
    });
    expect($other->exec("UPDATE rigs SET revision = 99 WHERE slug = 'dunlin'"))->toBe(1);
});

it('says that it is busy where another write takes too long, changes nothing, and goes on afterwards', function () {
    $file = benchInFile($this);
    $revision = $this->getJson('/api/v1/rigs/dunlin')->json('revision');
    $other = new PDO("sqlite:$file", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
    $other->exec('BEGIN IMMEDIATE');
    $change = fn () => $this->patchJson('/api/v1/rigs/dunlin', ['revision' => $revision, 'set' => (object) ['settings.memory' => 21], 'text' => 'Memory']);
    $change()->assertStatus(503)->assertJsonPath('error.code', 'busy');
    $this->getJson('/api/v1/rigs/dunlin')->assertOk()->assertJsonPath('revision', $revision);
    $other->exec('ROLLBACK');
    $change()->assertOk()->assertJsonPath('document.settings.memory', 21);
});
