<?php

declare(strict_types=1);

use App\Models\Card;
use App\Models\Rig;

/** @param  array<string, mixed>  $more */
function aReceiver(array $more = []): array
{
    return $more + ['id' => 'teasel-r4', 'kind' => 'receiver', 'name' => 'Teasel R4', 'outputs' => [['format' => 'pwm', 'pins' => 4]]];
}

it('takes a card, changes it, and finds it by alias and by what the manual says', function () {
    $this->postJson('/api/v1/shelf', ['card' => aReceiver(['alias' => ['the thistle']])])->assertCreated()->assertJsonPath('revision', 1);
    $this->putJson('/api/v1/shelf/teasel-r4', ['revision' => 1, 'card' => aReceiver(['outputs' => ['s100i'], 'alias' => ['the thistle']])])->assertOk()->assertJsonPath('revision', 2);
    $hits = fn (string $q): array => array_column($this->getJson('/api/v1/search?q='.urlencode($q))->assertOk()->json('hits'), 'id');
    expect($hits('thistle'))->toBe(['teasel-r4'])->and($hits('100000 8E2'))->toContain('s100i')->and($hits('no such thing'))->toBe([]);
});

it('does not let a second tab overwrite the first', function () {
    $this->postJson('/api/v1/shelf', ['card' => aReceiver()]);
    $this->putJson('/api/v1/shelf/teasel-r4', ['revision' => 1, 'card' => aReceiver(['notes' => 'first'])])->assertOk();
    $this->putJson('/api/v1/shelf/teasel-r4', ['revision' => 1, 'card' => aReceiver(['notes' => 'second'])])->assertConflict()->assertJsonPath('error.code', 'conflict');
    expect($this->getJson('/api/v1/shelf/teasel-r4')->json('card.notes'))->toBe('first');
});

it('gives back what was put in, as YAML and as JSON, for every card of the demo', function () {
    $this->demo();
    $before = $this->get('/api/v1/shelf.json')->assertOk()->getContent();
    expect(json_decode($before, true))->not->toBeEmpty();
    foreach (['yaml', 'json'] as $format) {
        $file = $this->get("/api/v1/shelf.$format")->getContent();
        Card::query()->delete();
        $this->postJson('/api/v1/shelf/import', ['text' => $file])->assertOk();
        expect($this->get('/api/v1/shelf.json')->getContent())->toBe($before);
    }
});

it('says which line of a bad card is wrong, and takes nothing of the file', function (string $text, string $code, ?int $line, string $says) {
    $answer = $this->postJson('/api/v1/shelf/import', ['text' => $text])->assertStatus(422);
    expect($answer->json('error.code'))->toBe($code)->and($answer->json('error.line'))->toBe($line)->and($answer->json('error.message'))->toContain($says);
    expect(Card::query()->count())->toBe(0);
})->with([
    'broken YAML' => ["id: a\nkind: receiver\nname: [A\n", 'not_yaml', 4, 'YAML'],
    'broken JSON' => ["{\"id\": \"a\",\n \"kind\" \"receiver\"}", 'not_json', 2, 'JSON'],
    'an unknown key' => ["id: a\nkind: receiver\nname: A\ncolour: red\n", 'unknown_key', 4, 'colour'],
    'an unknown kind' => ["id: a\nkind: kettle\nname: A\n", 'invalid', 2, 'kettle'],
    'a reference to itself' => ["a: &x\n  b: *x\n", 'yaml_alias', 1, '&x'],
    'an order that is none' => ["id: a\nkind: handset\nname: A\norder: AETT\n", 'invalid', 4, 'AETT'],
    'a fault in the second of two cards' => ["id: a\nkind: receiver\nname: A\n---\nid: b\nkind: receiver\nname: B\noutputs: [{format: pwm, pins: 99}]\n", 'invalid', 8, '99'],
    'a voltage range upside down' => ["id: a\nkind: module\nname: A\nsupply: {min_v: 12, max_v: 5}\n", 'upside_down', 4, '12'],
    'nothing' => ['', 'empty', null, 'no gear card'],
]);

it('refuses a card of ten megabytes with the limit', function () {
    $text = "id: a\nkind: receiver\nname: A\nnotes: ".str_repeat('x', 10_000_000)."\n";
    $this->postJson('/api/v1/shelf/import', ['text' => $text])->assertStatus(422)->assertJsonPath('error.code', 'too_large');
    expect(Card::query()->count())->toBe(0);
});

it('leaves cards that differ alone until told to replace them', function () {
    $this->postJson('/api/v1/shelf', ['card' => aReceiver()]);
    $other = json_encode(aReceiver(['notes' => 'another']));
    $this->postJson('/api/v1/shelf/import', ['text' => $other])->assertJsonPath('kept', ['teasel-r4']);
    $this->postJson('/api/v1/shelf/import', ['text' => $other, 'replace' => true])->assertJsonPath('replaced', ['teasel-r4']);
    $this->postJson('/api/v1/shelf/import', ['text' => $other])->assertJsonPath('same', ['teasel-r4']);
});

it('takes a card off the shelf although a rig uses it, and the rig keeps its copy', function () {
    $this->demo();
    $before = $this->getJson('/api/v1/rigs/avocet')->json('review.couplings');
    $this->deleteJson('/api/v1/shelf/tarn-t7')->assertOk()->assertJsonPath('rigs.0.name', 'Avocet');
    expect($this->getJson('/api/v1/rigs/avocet')->assertOk()->json('review.couplings'))->toBe($before);
    expect(Rig::query()->count())->toBe(5);
});

it('offers the plugs of its cards by what the manual calls them', function () {
    $this->demo();
    $plugs = fn (): array => array_column(array_filter($this->getJson('/api/v1/aliases')->json('entries'), fn (array $entry): bool => $entry['kind'] === 'plug'), 'aliases', 'target');
    expect(array_key_first($plugs()))->toBe('signal-plus-ground')->and($plugs())->not->toHaveKey('plus-ground');
    $this->postJson('/api/v1/shelf', ['card' => ['id' => 'two-pin', 'kind' => 'receiver', 'name' => 'Two pin', 'outputs' => [['format' => 'ppm', 'plug' => ['plus', 'ground']]]]])->assertCreated();
    $this->putJson('/api/v1/aliases', ['kind' => 'plug', 'target' => 'plus-ground', 'aliases' => ['lamp lead']])->assertOk();
    expect($plugs()['plus-ground'])->toBe(['lamp lead'])->and($this->getJson('/api/v1/search?q=lamp')->json('hits.0.kind'))->toBe('plug');
    $this->putJson('/api/v1/aliases', ['kind' => 'plug', 'target' => 'ground-plus', 'aliases' => ['lamp lead']])->assertStatus(422)->assertJsonPath('error.path', 'target');
});

it('remembers what the manual calls a format', function () {
    $this->demo();
    $this->putJson('/api/v1/aliases', ['kind' => 'format', 'target' => 's100i', 'aliases' => ['tide serial', ' ']])->assertOk();
    expect($this->getJson('/api/v1/search?q=tide')->json('hits.0.id'))->toBe('s100i');
    $this->putJson('/api/v1/aliases', ['kind' => 'format', 'target' => 'nothing', 'aliases' => []])->assertStatus(422)->assertJsonPath('error.path', 'target');
});
