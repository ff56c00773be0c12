<?php

declare(strict_types=1);

use App\Actions\Backup;
use App\Models\Attachment;
use App\Models\Capture;
use App\Models\Rig;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Rig\RigHistory;

/*
 * A bench that the version of 28 November 2026 made (tests/fixtures/old-bench): five rigs of the demo and a duplicate, worked on through every
 * step, with undos in between; and what that version itself said of every moment, of what stands, of the next undo, and of a comparison.
 */

function oldBench(string $name): string
{
    return (string) gzdecode((string) file_get_contents(base_path("tests/fixtures/old-bench/$name.gz")));
}

/** @return array<string, array<string, mixed>> By slug. */
function saidThen(): array
{
    return json_decode((string) file_get_contents(base_path('tests/fixtures/old-bench/expected.json')), true);
}

function markOf(mixed $value): string
{
    return hash('sha256', Json::compact(KeyOrder::canonical($value)));
}

/** @param  array<string, mixed>  $said */
function expectAsThen(Rig $rig, array $said): void
{
    $log = $rig->log();
    $history = new RigHistory($rig->plain(), $log);
    expect(markOf($rig->plain()))->toBe($said['document']);
    foreach ($said['moments'] as $k => $mark) {
        expect(substr(markOf($history->at($k - 1)), 0, 16))->toBe($mark, "$rig->name, moment ".($k - 1));
    }
    expect(implode('', array_map(static fn (int $k): string => $log->isStanding($k) ? '1' : '0', array_keys($log->entries))))->toBe($said['standing'])
        ->and($rig->lastStanding())->toBe($said['undo'])
        ->and(markOf(RigHistory::compare($history->at(-1), $history->at($log->last()))))->toBe($said['compared']);
    if ($said['undo'] !== null) {
        expect(markOf($log->takingBack($said['undo'], $rig->plain())->apply($rig->plain())->document))->toBe($said['taken_back']);
    }
}

it('makes the rigs of an older bench small, and every moment of them stays as it was', function () {
    $this->inFile(function (): void {
        $rigs = Rig::query()->get()->keyBy('slug');
        expect($rigs->keys()->sort()->values()->all())->toBe(collect(saidThen())->keys()->sort()->values()->all());
        foreach (saidThen() as $slug => $said) {
            expectAsThen($rigs[$slug], $said);
        }
        foreach (['avocet' => 60_000, 'dunlin' => 50_000, 'oystercatcher' => 40_000] as $slug => $bytes) {
            expect(saidThen()[$slug]['bytes'])->toBeGreaterThan(200_000)->and(strlen($rigs[$slug]->text()))->toBeLessThan($bytes);
        }
        expect($rigs->pluck('uid')->unique()->count())->toBe(6)->and($rigs->pluck('uid')->every(static fn (?string $uid): bool => is_string($uid) && strlen($uid) === 16))->toBeTrue();
    }, oldBench('backup.sqlite'));
});

it('restores a backup of an older version, with its rigs made small', function () {
    $this->inFile(function (string $folder): void {
        file_put_contents("$folder/old.sqlite", oldBench('backup.sqlite'));
        $this->demo();
        app(Backup::class)->restore("$folder/old.sqlite");
        foreach (saidThen() as $slug => $said) {
            expectAsThen(Rig::query()->where('slug', $slug)->firstOrFail(), $said);
        }
        expect(Rig::query()->whereNull('uid')->count())->toBe(0)->and(strlen(Rig::query()->where('slug', 'avocet')->sole()->text()))->toBeLessThan(60_000)
            ->and(Attachment::query()->count())->toBe(3)->and(Capture::query()->count())->toBe(3);
    });
});

it('reads a document of an older version, judges every moment of it as then, and gives it back to the byte', function () {
    $text = oldBench('avocet.json');
    $slug = $this->postJson('/api/v1/rigs/import', ['text' => $text])->assertCreated()->json('slug');
    $rig = Rig::query()->where('slug', $slug)->firstOrFail();
    expectAsThen($rig, saidThen()['avocet']);
    // The document as it came, and the id it got.
    $out = $this->get("/api/v1/rigs/$slug.json")->getContent();
    expect(array_diff_key(json_decode($out, true), ['uid' => 1]))->toBe(json_decode($text, true));
    $this->deleteJson("/api/v1/rigs/$slug")->assertOk();
    $again = $this->postJson('/api/v1/rigs/import', ['text' => $out])->assertCreated()->json('slug');
    expect($this->get("/api/v1/rigs/$again.json")->getContent())->toBe($out);
});

it('stays under 60 kB with forty range checks, and undone one by one it is what it was, to the byte', function () {
    $this->demo();
    $revision = fn (): int => Rig::query()->where('slug', 'avocet')->sole()->revision;
    $document = fn (): string => Rig::query()->where('slug', 'avocet')->sole()->document;
    $shown = fn (): array => $this->getJson('/api/v1/rigs/avocet')->json('document');
    [$before, $page, $sizes] = [$document(), $shown(), []];
    for ($k = 0; $k < 40; $k++) {
        $sizes[] = strlen($this->get('/api/v1/rigs/avocet.json')->getContent());
        $this->means('avocet', 'make-check', ['check' => 'range', 'passed' => true, 'observed' => 'all answered', 'by' => 'Wren'])->assertOk();
    }
    expect(strlen($this->get('/api/v1/rigs/avocet.json')->getContent()))->toBeLessThan(60_000)
        // The fortieth costs as much as the second: it grows by what is done.
        ->and($sizes[39] - $sizes[38])->toBeLessThan(1000)->toBeLessThanOrEqual($sizes[2] - $sizes[1] + 8);
    $whole = $this->get('/api/v1/rigs/avocet.json')->getContent();
    for ($k = 0; $k < 40; $k++) {
        $this->postJson('/api/v1/rigs/avocet/undo', ['revision' => $revision()])->assertOk();
    }
    expect($document())->toBe($before)->and($shown())->toBe($page);
    // And in every form: taken away and brought back, the moment with forty checks is still there.
    $out = $this->get('/api/v1/rigs/avocet.json')->getContent();
    $this->deleteJson('/api/v1/rigs/avocet')->assertOk();
    $this->postJson('/api/v1/rigs/import', ['text' => $out])->assertCreated();
    expect($this->get('/api/v1/rigs/avocet.json')->getContent())->toBe($out);
    $rig = Rig::query()->where('slug', 'avocet')->sole();
    expect(json_decode($whole, true)['checks'])->toBe(json_decode(Json::compact((new RigHistory($rig->plain(), $rig->log()))->at($rig->lastPosition() - 40)), true)['checks']);
});

it('takes one check back among later ones only when it is the last, and says so', function () {
    $this->demo();
    $revision = fn (): int => Rig::query()->where('slug', 'avocet')->sole()->revision;
    for ($k = 0; $k < 2; $k++) {
        $this->means('avocet', 'make-check', ['check' => 'range', 'passed' => true, 'observed' => 'all answered', 'by' => 'Wren'])->assertOk();
    }
    $last = Rig::query()->where('slug', 'avocet')->sole()->lastPosition();
    $this->postJson('/api/v1/rigs/avocet/undo', ['revision' => $revision(), 'entry' => $last - 1])->assertStatus(422)->assertJsonPath('error.code', 'changed_since');
    $this->postJson('/api/v1/rigs/avocet/undo', ['revision' => $revision(), 'entry' => $last])->assertOk();
    $this->postJson('/api/v1/rigs/avocet/undo', ['revision' => $revision(), 'entry' => $last - 1])->assertOk();
});

it('finds the next undo however far back it is', function () {
    $this->demo();
    $rig = Rig::query()->where('slug', 'mudlark')->sole();
    $revision = fn (): int => Rig::query()->whereKey($rig->id)->sole()->revision;
    $memory = $this->getJson('/api/v1/rigs/mudlark')->json('document.settings.memory');
    $this->patchJson('/api/v1/rigs/mudlark', ['revision' => $revision(), 'set' => ['settings.memory' => 33], 'text' => 'Memory'])->assertOk();
    $at = Rig::query()->whereKey($rig->id)->sole()->lastPosition();
    for ($k = 0; $k < 105; $k++) {
        $this->means('mudlark', 'make-check', ['check' => 'range', 'passed' => true, 'observed' => 'all answered', 'by' => 'Wren'])->assertOk();
        $this->postJson('/api/v1/rigs/mudlark/undo', ['revision' => $revision()])->assertOk();
    }
    $shown = $this->getJson('/api/v1/rigs/mudlark');
    expect($shown->json('undo'))->toBe($at)->and($shown->json('history'))->toHaveCount(Rig::RECENT);
    $this->postJson('/api/v1/rigs/mudlark/undo', ['revision' => $revision()])->assertOk()->assertJsonPath('document.settings.memory', $memory);
});

it('refuses a history that does not belong to its document, where it is asked for', function () {
    $this->demo();
    $document = json_decode($this->get('/api/v1/rigs/mudlark.json')->getContent());
    $document->name = 'Foreign';
    unset($document->uid);
    $document->log[] = (object) ['at' => '2026-11-01T10:00:00Z', 'kind' => 'test', 'before' => (object) [], 'after' => (object) [], 'lists' => (object) ['checks' => (object) ['at' => 3, 'added' => 400]]];
    $slug = $this->postJson('/api/v1/rigs/import', ['text' => json_encode($document)])->assertCreated()->json('slug');
    $this->getJson("/api/v1/rigs/$slug/at/0")->assertStatus(422)->assertJsonPath('error.code', 'broken_history');
    $this->getJson("/api/v1/rigs/$slug/at/".(count($document->log) - 1))->assertOk();
    $this->postJson("/api/v1/rigs/$slug/undo", ['revision' => Rig::query()->where('slug', $slug)->sole()->revision])->assertStatus(422);
});
