<?php

declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\Conflict;
use App\Models\Rig;
use App\Models\RigEntry;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\RigPatch;

it('shows the demo bench, with what needs somebody first', function () {
    $rigs = $this->demo()->getJson('/api/v1/rigs')->assertOk()->json('rigs');
    expect(array_column($rigs, 'name'))->toHaveCount(5)->and(end($rigs)['name'])->toBe('Avocet');
    $sentences = array_column(array_map(fn (array $rig): array => ['name' => $rig['name'], 'sentence' => $rig['next']['sentence']], $rigs), 'sentence', 'name');
    expect($sentences['Mudlark'])->toContain('no room for its gap');
});

it('tells the days of the bench by the clock of whoever looks, and in their form, though it keeps what it shows', function () {
    $this->demo();
    $seen = fn (array $clock): string => array_column($this->getJson('/api/v1/rigs', $clock)->assertOk()->json('rigs'), 'next', 'name')['Avocet']['sentence'];
    expect($seen(['X-Time-Zone' => 'Pacific/Kiritimati', 'X-Day-Form' => 'month-first']))->toBe('Signed off on Nov 4, 2026.');
    $kept = Rig::query()->where('slug', 'avocet')->value('summary');
    expect($seen([]))->toBe('Signed off on 3 Nov 2026.')
        ->and($seen(['X-Time-Zone' => 'nowhere', 'X-Day-Form' => 'sideways']))->toBe('Signed off on 3 Nov 2026.')
        ->and(Rig::query()->where('slug', 'avocet')->value('summary'))->toBe($kept);
});

it('takes a new rig from its ends to a chain, an order fix and a proof', function () {
    $this->demo();
    $slug = $this->postJson('/api/v1/rigs', ['name' => 'Turnstone', 'craft_kind' => 'multirotor'])->assertCreated()->json('slug');
    $rig = fn () => $this->getJson("/api/v1/rigs/$slug")->json();
    $change = function (array $set, string $text) use ($slug, $rig): void {
        $this->patchJson("/api/v1/rigs/$slug", ['revision' => $rig()['revision'], 'set' => $set, 'text' => $text])->assertOk();
    };
    $change(['path.handset' => 'ostrel-9', 'path.craft' => 'ruddle-f6', 'path.channels' => 8], 'Ends chosen');
    $way = $this->postJson("/api/v1/rigs/$slug/plan", [])->assertOk()->json('paths.0');
    $change(['chain' => $way['boxes'], 'settings.links' => $way['links'], 'settings.order' => 'TAER'], 'Path taken');
    expect($rig()['review']['order']['right'])->toBeFalse();

    $this->means($slug, 'mend-order', ['at' => $rig()['review']['order']['fixes'][0]['at']])->assertOk();
    expect($rig()['review']['order']['right'])->toBeTrue();

    $this->means($slug, 'keep-order-check', ['moved' => ['A' => 'A', 'E' => 'E', 'T' => 'T', 'R' => 'R'], 'by' => 'Wren'])->assertOk();
    expect($rig()['review']['order']['proof']['state'])->toBe('holds');
    $change(['settings.order' => 'RETA'], 'Order changed late');
    expect($rig()['review']['order']['proof']['state'])->toBe('stale')->and($rig()['review']['order']['proof']['reasons'][0])->toContain('TAER to RETA');
    $this->postJson("/api/v1/rigs/$slug/undo", ['revision' => $rig()['revision']])->assertOk();
    expect($rig()['review']['order']['proof']['state'])->toBe('holds');
});

it('gives the same bytes when a rig is exported, deleted, imported and exported again', function (string $format) {
    $this->demo();
    foreach (Rig::bench() as $rig) {
        $this->patchJson("/api/v1/rigs/$rig->slug", ['revision' => $rig->revision, 'set' => ['settings.power_mw' => 25.0, 'settings.pack' => ['chemistry' => 'life', 'cells' => 3]], 'text' => 'Low power'])->assertOk();
        $before = $this->get("/api/v1/rigs/$rig->slug.$format")->assertOk()->getContent();
        $this->deleteJson("/api/v1/rigs/$rig->slug")->assertOk();
        $this->getJson("/api/v1/rigs/$rig->slug")->assertNotFound();
        $this->postJson('/api/v1/rigs/import', ['text' => $before])->assertCreated();
        expect($this->get("/api/v1/rigs/$rig->slug.$format")->getContent())->toBe($before);
    }
})->with(['json', 'yaml']);

it('refuses the second of two tabs that save the same rig, and says what changed', function () {
    $this->demo();
    $revision = $this->getJson('/api/v1/rigs/dunlin')->json('revision');
    $this->patchJson('/api/v1/rigs/dunlin', ['revision' => $revision, 'set' => ['settings.memory' => 9], 'text' => 'Moved to memory 9'])->assertOk();
    $answer = $this->patchJson('/api/v1/rigs/dunlin', ['revision' => $revision, 'set' => ['settings.memory' => 2], 'text' => 'Moved to memory 2'])->assertConflict();
    expect($answer->json('error.message'))->toContain('Moved to memory 9')->and($answer->json('current.revision'))->toBe($revision + 1);
    expect($this->getJson('/api/v1/rigs/dunlin')->json('document.settings.memory'))->toBe(9);
});

it('does once what is told twice by one name, whatever came between, and for one rig only', function () {
    $this->demo();
    $rig = fn (string $slug) => $this->getJson("/api/v1/rigs/$slug")->json();
    $revision = $rig('dunlin')['revision'];
    $tell = fn (string $slug, int $on, mixed $once) => $this->postJson("/api/v1/rigs/$slug/intents", ['revision' => $on, 'intent' => 'remove-function', 'told' => ['function' => 'gain'], 'once' => $once]);
    $first = $tell('dunlin', $revision, 'first')->assertOk();
    expect($first->json('revision'))->toBe($revision + 1);
    // Again, as one does who heard no answer: that there is no such function any more is no reason to refuse it.
    $tell('dunlin', $revision, 'first')->assertOk()->assertJsonPath('revision', $revision + 1)->assertJsonPath('history_total', $first->json('history_total'));
    $this->means('dunlin', 'put-function', ['function' => 'gain', 'channel' => 7])->assertOk();
    $tell('dunlin', $revision, 'first')->assertOk()->assertJsonPath('revision', $revision + 2);
    expect(array_column($rig('dunlin')['document']['craft']['functions'], 'function'))->toContain('gain');
    // By another name it is another change, and this one is too late.
    $tell('dunlin', $revision, 'second')->assertStatus(409);
    $tell('dunlin', $revision + 2, str_repeat('x', 65))->assertStatus(422)->assertJsonPath('error.path', 'once');
    $tell('dunlin', $revision + 2, 7)->assertStatus(422)->assertJsonPath('error.path', 'once');
    $this->postJson('/api/v1/rigs/avocet/intents', ['revision' => $rig('avocet')['revision'], 'intent' => 'put-function', 'told' => ['function' => 'lamp', 'channel' => 11], 'once' => 'first'])->assertOk();
    expect(array_column($rig('avocet')['document']['craft']['functions'], 'function'))->toContain('lamp');
});

it('does once what is on its way twice at the same time', function () {
    $this->demo();
    $rig = Rig::query()->where('slug', 'dunlin')->firstOrFail();
    $change = fn (string $once) => app(ChangeRig::class)($rig, $rig->revision, RigPatch::of(['settings.memory' => 21]), 'Memory', once: $once);
    expect($change('first')->revision)->toBe($rig->revision + 1)->and($change('first')->revision)->toBe($rig->revision + 1);
    expect(fn () => $change('second'))->toThrow(Conflict::class);
});

it('takes any change back, newest first or by its place, and refuses what was changed again', function () {
    $this->demo();
    $rig = fn () => $this->getJson('/api/v1/rigs/dunlin')->json();
    $original = $rig()['document'];
    foreach ([11, 12] as $memory) {
        $this->patchJson('/api/v1/rigs/dunlin', ['revision' => $rig()['revision'], 'set' => ['settings.memory' => $memory], 'text' => "Memory $memory"])->assertOk();
    }
    $first = collect($rig()['history'])->firstWhere('entry.text', 'Memory 11')['position'];
    $this->postJson('/api/v1/rigs/dunlin/undo', ['revision' => $rig()['revision'], 'entry' => $first])->assertStatus(422)->assertJsonPath('error.code', 'changed_since');
    $this->postJson('/api/v1/rigs/dunlin/undo', ['revision' => $rig()['revision']])->assertOk();
    $this->postJson('/api/v1/rigs/dunlin/undo', ['revision' => $rig()['revision']])->assertOk();
    expect($rig()['document'])->toBe($original);
    expect(RigEntry::query()->where('kind', 'undo')->count())->toBe(2);
});

it('refuses a bad rig document or change with its place, and writes nothing', function (string $method, string $address, string $body, string $path) {
    $this->demo();
    $before = [Rig::query()->orderBy('id')->get(['document', 'revision'])->toArray(), RigEntry::query()->count()];
    $body = str_replace('"revision":4', '"revision":'.$this->getJson('/api/v1/rigs/dunlin')->json('revision'), $body);
    $this->raw($method, $address, $body)->assertStatus(422)->assertJsonPath('error.path', $path);
    expect([Rig::query()->orderBy('id')->get(['document', 'revision'])->toArray(), RigEntry::query()->count()])->toBe($before);
})->with([
    'an order that is none' => ['PATCH', 'rigs/dunlin', '{"revision":4,"text":"x","set":{"settings.order":"AETT"}}', 'settings.order'],
    'a place that is none' => ['PATCH', 'rigs/dunlin', '{"revision":4,"text":"x","set":{"log":[]}}', 'set'],
    'no revision' => ['PATCH', 'rigs/dunlin', '{"text":"x","set":{}}', 'revision'],
    'a chain with a card that is nowhere' => ['PATCH', 'rigs/dunlin', '{"revision":4,"text":"x","set":{"chain":["ostrel-9","heron-x"]}}', 'chain.1'],
    'an imported chain with a missing card' => ['POST', 'rigs/import', Json::compact(['text' => 'linguator: 1
name: Ruff
craft: {kind: plane}
chain: [ostrel-9, nowhere]
settings: {}']), 'chain.1'],
    'a newer version' => ['POST', 'rigs/import', Json::compact(['text' => '{"linguator":2,"name":"Ruff","craft":{"kind":"plane"},"chain":[],"settings":{}}']), 'linguator'],
    'the same box twice' => ['POST', 'rigs/import', Json::compact(['text' => '{"linguator":1,"name":"Ruff","craft":{"kind":"plane"},"chain":["flip","flip"],"settings":{}}']), 'chain.1.id'],
    'an unknown key in a card of the chain' => ['POST', 'rigs/import', Json::compact(['text' => '{"linguator":1,"name":"Ruff","craft":{"kind":"plane"},"chain":[{"id":"a","kind":"receiver","name":"A","wings":2}],"settings":{}}']), 'chain.0.wings'],
    'a stick that is none' => ['POST', 'rigs/avocet/order-check', '{"moved":{"Q":"A"}}', 'moved.Q'],
    'a log that cannot be read' => ['POST', 'rigs/avocet/order-check', '{"log":"0,1500\n10,?","sequence":["T"]}', 'log'],
    'a plan without its ends' => ['POST', 'rigs/import', '{"text":42}', 'text'],
]);

it('finds the whole order in a pasted channel log, and explains a module that rearranges', function () {
    $this->demo();
    $rows = [];
    foreach ([3, 4, 2, 1] as $channel) {
        foreach ([1500, 1700, 2000, 1700, 1500, 1300, 1000, 1300, 1500, 1500] as $value) {
            $us = array_fill(1, 6, 1500);
            $us[$channel] = $value;
            $rows[] = count($rows) * 20 .','.implode(',', $us);
        }
    }
    $answer = $this->postJson('/api/v1/rigs/avocet/order-check', ['log' => implode("\n", $rows), 'sequence' => ['T', 'R', 'E', 'A']])->assertOk();
    expect($answer->json('movement.order'))->toBe('AETR')->and($answer->json('passes'))->toBeFalse()
        ->and($answer->json('explanation'))->toContain('Brack M4')->toContain('off');
});

it('takes parts over from another rig, in one entry that can be taken back, and says at its place what cannot be', function () {
    $this->demo();
    $slug = $this->postJson('/api/v1/rigs/dunlin/duplicate', ['name' => 'Turnstone two'])->assertCreated()->json('slug');
    $revision = fn (): int => $this->getJson("/api/v1/rigs/$slug")->json('revision');
    expect(array_merge(...array_column($this->getJson("/api/v1/rigs/$slug/like/dunlin")->assertOk()->json('parts'), 'lines')))->toBe([]);
    // In a memory of its own: what is set in a shared one is set for both.
    $this->means($slug, 'tell-memory', ['memory' => '9'])->assertOk();
    $this->means($slug, 'set-switch', ['function' => 'arm', 'switch' => 'R1'])->assertOk();
    $this->means($slug, 'set-rates', ['channel' => 1, 'rate_pct' => 60])->assertOk();
    $parts = array_column($this->getJson("/api/v1/rigs/$slug/like/dunlin")->json('parts'), null, 'part');
    expect($parts['switches']['lines'])->toHaveCount(1)->and($parts['rates']['lines'][0])->toMatchArray(['key' => 'aileron', 'here' => 'rate 60 %, expo 15 %', 'there' => 'rate 80 %, expo 15 %']);

    $like = "/api/v1/rigs/$slug/like/dunlin";
    $before = $revision();
    $this->postJson($like, ['revision' => $before, 'part' => 'everything', 'keys' => ['arm']])->assertStatus(422)->assertJsonPath('error.path', 'part');
    $this->postJson($like, ['revision' => $before, 'part' => 'switches', 'keys' => []])->assertStatus(422)->assertJsonPath('error.path', 'keys');
    $this->postJson($like, ['revision' => $before, 'part' => 'switches', 'keys' => ['wings']])->assertStatus(422)->assertJsonPath('error.path', 'keys.0');
    $this->postJson($like, ['revision' => $before - 1, 'part' => 'switches', 'keys' => ['arm']])->assertStatus(409);
    $this->postJson("/api/v1/rigs/$slug/like/nobody", ['revision' => $before, 'part' => 'switches', 'keys' => ['arm']])->assertNotFound();
    expect($revision())->toBe($before);

    $rig = $this->postJson($like, ['revision' => $before, 'part' => 'switches', 'keys' => ['arm']])->assertOk()->json();
    expect($rig['history'][0]['entry']['text'])->toBe('As in Dunlin: switches (arm)');
    $this->postJson("/api/v1/rigs/$slug/undo", ['revision' => $revision()])->assertOk();
    expect(array_column($this->getJson($like)->json('parts'), null, 'part')['switches']['lines'])->toHaveCount(1);
});
