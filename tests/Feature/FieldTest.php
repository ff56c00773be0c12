<?php

declare(strict_types=1);

use App\Models\Attachment;
use App\Models\Rig;

/** @return array<string, mixed> The content of a pack. */
function packOf(string $html): array
{
    preg_match('#<script id="pack" type="application/json">(.*?)</script>#s', $html, $match);

    return json_decode($match[1] ?? '', true, 512, JSON_THROW_ON_ERROR);
}

/** @return array<string, mixed> What is given back of it. */
function givenBack(array $pack, array $seen, array $more = []): array
{
    return $more + ['linguator_field' => 1, 'uid' => $pack['uid'], 'position' => $pack['position'], 'state' => $pack['state'], 'made_at' => $pack['made_at'], 'note' => '', 'seen' => $seen, 'photos' => []];
}

function seenAt(string $intent, array $told, ?string $at = null): array
{
    return ['intent' => $intent, 'told' => $told + ['passed' => true, 'observed' => 'as it should', 'by' => 'Wren'], 'at' => $at ?? gmdate('Y-m-d\TH:i:s\Z')];
}

it('packs a rig into one file that asks nothing of a network', function () {
    $this->demo();
    $response = $this->get('/api/v1/rigs/dunlin/field-pack')->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="dunlin-field.html"');
    $html = (string) $response->getContent();
    expect($html)->toStartWith('<!doctype html>')->not->toMatch('#(src|href)="(?!data:)#')->not->toContain('http://', 'https://', '/*style*/', '/*script*/');
    $pack = packOf($html);
    expect($pack['name'])->toBe('Dunlin')->and($pack['next']['label'])->toBe('Not ready')
        ->and(array_column($pack['checks'], 'title'))->toContain('Directions', 'Range check')->not->toContain('Order')
        ->and($pack['tests'][0]['told'])->toBe(['hop' => 1, 'cut' => 'link'])->and($pack['sheet'])->not->toBe([]);
});

it('says nothing but what was said: a name that is HTML stays a name', function () {
    $slug = $this->postJson('/api/v1/rigs', ['name' => '</script><b>Rook</b> & co', 'craft_kind' => 'plane'])->assertCreated()->json('slug');
    $html = (string) $this->get("/api/v1/rigs/$slug/field-pack")->assertOk()->getContent();
    expect($html)->not->toContain('<b>Rook')->and(packOf($html)['name'])->toBe('</script><b>Rook</b> & co');
});

it('takes in what was seen, each with the settings that it was made with, once', function () {
    $this->demo();
    $pack = packOf((string) $this->get('/api/v1/rigs/dunlin/field-pack')->getContent());
    $before = $this->getJson('/api/v1/rigs/dunlin')->json();
    $picture = base64_encode((string) file_get_contents(base_path('docs/screenshots/'.basename((string) (glob(base_path('docs/screenshots/*.png')) ?: [''])[0]))));
    $antenna = seenAt('make-check', ['check' => 'antenna']);
    $text = json_encode(givenBack($pack, [$antenna, seenAt('test-failsafe', ['hop' => 1, 'cut' => 'link'])], ['note' => 'windy', 'photos' => [['name' => 'mast.png', 'base64' => $picture]]]));
    $preview = $this->postJson('/api/v1/field/preview', ['text' => "copied out of a message:\n$text\nbye"])->assertOk();
    fittingScreen('field_preview', (string) $preview->getContent());
    expect($preview->json('rig.name'))->toBe('Dunlin')->and(array_column($preview->json('lines'), 'state'))->toBe(['holds', 'holds'])->and($preview->json('photos'))->toBe(1);
    expect($this->getJson('/api/v1/rigs/dunlin')->json('revision'))->toBe($before['revision']);

    $rig = $this->postJson('/api/v1/field', ['text' => $text, 'revision' => $before['revision']])->assertOk()->json();
    expect($rig['history'][0]['entry']['text'])->toStartWith('From the field: Antennas checked, holds: as it should; Failsafe of hop 1 tested, passed: as it should; windy')
        ->and(collect($rig['review']['readiness']['checks'])->firstWhere('check', 'antenna')['state'])->toBe('holds')
        ->and(Attachment::query()->where('rig_id', Rig::query()->where('slug', 'dunlin')->value('id'))->pluck('name')->all())->toBe(['mast.png']);
    // Once more: what is here is not written twice.
    $again = $this->postJson('/api/v1/field/preview', ['text' => json_encode(givenBack($pack, [$antenna]))])->assertOk()->json('lines');
    expect($again[0]['is_here'])->toBeTrue();
    $this->postJson('/api/v1/field', ['text' => json_encode(givenBack($pack, [$antenna])), 'revision' => $rig['revision']])->assertStatus(422)->assertJsonPath('error.code', 'nothing_new');
});

it('finds a check stale by itself where the rig has changed since the pack was made', function () {
    $this->demo();
    $pack = packOf((string) $this->get('/api/v1/rigs/avocet/field-pack')->getContent());
    $rig = $this->getJson('/api/v1/rigs/avocet')->json();
    $rig = $this->postJson('/api/v1/rigs/avocet/intents', ['revision' => $rig['revision'], 'intent' => 'reverse-channel', 'told' => ['channel' => 1]])->assertOk()->json();
    $text = json_encode(givenBack($pack, [seenAt('make-check', ['check' => 'direction'])]));
    $line = $this->postJson('/api/v1/field/preview', ['text' => $text])->assertOk()->json('lines.0');
    expect($line['state'])->toBe('stale')->and($line['reasons'])->not->toBe([]);
    $after = $this->postJson('/api/v1/field', ['text' => $text, 'revision' => $rig['revision']])->assertOk()->json();
    expect(collect($after['review']['readiness']['checks'])->firstWhere('check', 'direction')['state'])->toBe('stale')->and($after['review']['readiness']['ready'])->toBeFalse();
    // The rig as the preview has seen it, or none.
    $other = json_encode(givenBack($pack, [seenAt('make-check', ['check' => 'power'])]));
    $this->postJson('/api/v1/field', ['text' => $other, 'revision' => $rig['revision']])->assertStatus(409);
});

it('refuses what no pack gave back, at its place, and writes nothing', function (Closure $spoil, string $path, string $code) {
    $this->demo();
    $pack = packOf((string) $this->get('/api/v1/rigs/dunlin/field-pack')->getContent());
    $told = $spoil(givenBack($pack, [seenAt('make-check', ['check' => 'antenna'])]));
    $text = is_string($told) ? $told : json_encode($told);
    $revision = $this->getJson('/api/v1/rigs/dunlin')->json('revision');
    $this->postJson('/api/v1/field/preview', ['text' => $text])->assertStatus(422)->assertJsonPath('error.path', $path)->assertJsonPath('error.code', $code);
    $this->postJson('/api/v1/field', ['text' => $text, 'revision' => $revision])->assertStatus(422);
    expect($this->getJson('/api/v1/rigs/dunlin')->json('revision'))->toBe($revision);
})->with([
    'another rig' => [fn (array $told) => ['uid' => 'nobody'] + $told, 'uid', 'no_such_rig'],
    'another history' => [fn (array $told) => ['state' => str_repeat('0', 32)] + $told, 'state', 'another_history'],
    'a moment that is not' => [fn (array $told) => ['position' => 9999] + $told, 'entry', 'no_such_entry'],
    'nobody looked' => [fn (array $told) => ['seen' => [seenAt('make-check', ['check' => 'antenna', 'by' => ''])]] + $told, 'seen.0.told.by', 'missing_name'],
    'nothing was seen' => [fn (array $told) => ['seen' => [seenAt('make-check', ['check' => 'antenna', 'observed' => ''])]] + $told, 'seen.0.told.observed', 'missing_observation'],
    'a check of another step' => [fn (array $told) => ['seen' => [seenAt('make-check', ['check' => 'order'])]] + $told, 'seen.0.told.check', 'elsewhere'],
    'something else to be done' => [fn (array $told) => ['seen' => [seenAt('sign-off', [])]] + $told, 'seen.0.intent', 'invalid'],
    'no picture' => [fn (array $told) => ['photos' => [['name' => 'x', 'base64' => '!!']]] + $told, 'photos.0.base64', 'invalid'],
    'no JSON' => [fn () => 'hello', '', 'not_json'],
]);

it('takes what a phone with a wrong clock has seen for seen between the pack and its return', function () {
    $this->demo();
    $pack = packOf((string) $this->get('/api/v1/rigs/dunlin/field-pack')->getContent());
    $seen = [seenAt('make-check', ['check' => 'antenna'], '2001-01-01T00:00:00Z'), seenAt('make-check', ['check' => 'power'], '2099-01-01T00:00:00Z')];
    $lines = $this->postJson('/api/v1/field/preview', ['text' => json_encode(givenBack($pack, $seen))])->assertOk()->json('lines');
    expect($lines[0]['at'])->toBe($pack['made_at'])->and($lines[1]['at'])->toBeGreaterThanOrEqual($pack['made_at'])->toBeLessThanOrEqual(gmdate('Y-m-d\TH:i:s\Z'));
});
