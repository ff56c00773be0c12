<?php

declare(strict_types=1);

use App\Models\Capture;
use App\Models\Card;
use App\Models\Rig;

function begunWith(array $changes = []): array
{
    return $changes + [
        'name' => 'Whimbrel',
        'craft_kind' => 'boat',
        'handset' => ['starter' => 'A handset with a bay', 'name' => 'Grey handset'],
        'module' => null,
        'receiver' => ['starter' => 'A six-pin receiver', 'name' => 'Six pins'],
        'craft' => ['starter' => 'A two-function boat', 'name' => 'Foam boat'],
        'air' => ['family' => 'Own Tongue', 'variant' => 'V2'],
    ];
}

it('joins the gear that somebody holds from one page, begun from starter cards', function () {
    $rig = $this->postJson('/api/v1/start', begunWith())->assertCreated()->json();
    expect($rig['slug'])->toBe('whimbrel')->and(array_column($rig['review']['boxes'], 'name'))->toBe(['Grey handset', 'Six pins', 'Foam boat']);
    expect(Card::query()->orderBy('id')->pluck('id')->all())->toBe(['foam-boat', 'grey-handset', 'six-pins']);
    expect($rig['review']['couplings'][0]['label'])->toContain('v2');
    // What the starters left out stays not known: nothing is ready.
    expect($rig['review']['next']['severity'])->not->toBe('done');
});

it('takes boxes of the shelf too, a module in the bay, and gives a free name where one is taken', function () {
    $this->postJson('/api/v1/start', begunWith())->assertCreated();
    $again = $this->postJson('/api/v1/start', begunWith([
        'handset' => ['card' => 'grey-handset'],
        'module' => ['starter' => 'A module of many tongues', 'name' => 'Bay box'],
        'air' => ['family' => 'own-tongue', 'variant' => 'v3'],
    ]))->assertCreated()->json();
    expect($again['slug'])->toBe('whimbrel-2')->and(array_column($again['review']['boxes'], 'id'))->toBe(['grey-handset', 'bay-box', 'six-pins-2', 'foam-boat-2']);
});

it('says what a radio speaks of the module where there is one in the bay, and not of the handset too', function () {
    $this->postJson('/api/v1/start', begunWith(['module' => ['starter' => 'A long-range module', 'name' => 'Bay box']]))->assertCreated();
    expect(isset(Card::documentOf('grey-handset')->radios))->toBeFalse()->and(Card::documentOf('bay-box')->protocols[0]->family)->toBe('own-tongue');
    $this->postJson('/api/v1/start', begunWith(['handset' => ['starter' => 'A simple handset', 'name' => 'Six channels']]))->assertCreated();
    expect(Card::documentOf('six-channels')->radios[0]->protocols[0]->variant)->toBe('v2');
});

it('makes the rig where the air is not known yet, and does not say that it joins', function () {
    $rig = $this->postJson('/api/v1/start', begunWith(['air' => null]))->assertCreated()->json();
    expect($rig['review']['boxes'])->toBe([])->and($rig['document']['path']['handset'])->toBe('grey-handset')->and($rig['review']['next']['step'])->toBe('path');
});

it('makes the rig where the boxes cannot be joined, and the path says why', function () {
    $this->postJson('/api/v1/start', begunWith(['receiver' => ['starter' => 'A serial receiver', 'name' => 'One plug']]))->assertCreated()->assertJsonPath('review.boxes', []);
    expect($this->postJson('/api/v1/rigs/whimbrel/plan', [])->assertOk()->json('misses.0.message'))->toContain('One plug');
});

it('makes nothing of it where one box is none', function (array $changes, string $path) {
    $this->postJson('/api/v1/start', begunWith($changes))->assertStatus(422)->assertJsonPath('error.path', $path);
    expect(Card::query()->count())->toBe(0)->and(Rig::query()->count())->toBe(0);
})->with([
    'a starter that is none' => [['craft' => ['starter' => 'A submarine', 'name' => 'x']], 'craft'],
    'a card that is none' => [['receiver' => ['card' => 'nothing']], 'receiver'],
    'no name' => [['name' => ''], 'name'],
    'a kind that is none' => [['craft_kind' => 'kite'], 'craft_kind'],
    'half an air protocol' => [['air' => ['family' => 'x']], 'air.variant'],
]);

it('marks the demo and clears it in one go; what was changed of it stays', function () {
    $this->demo();
    $here = $this->getJson('/api/v1/demo')->assertOk()->json();
    expect($here['rigs'])->toHaveCount(Rig::query()->count())->and($here['cards'])->toBe(Card::query()->count())->and($here['captures'])->toBe(Capture::query()->count());
    $own = $this->postJson('/api/v1/start', begunWith(['handset' => ['card' => 'ostrel-9'], 'receiver' => ['card' => 'weft-r6'], 'air' => null]))->assertCreated()->json();
    expect($own['review']['boxes'])->not->toBe([]);
    $avocet = $this->getJson('/api/v1/rigs/avocet')->json();
    $this->postJson('/api/v1/rigs/avocet/intents', ['revision' => $avocet['revision'], 'intent' => 'write-note', 'told' => ['text' => 'mine now']])->assertOk();
    $cleared = $this->deleteJson('/api/v1/demo')->assertOk()->json();
    expect(Rig::query()->orderBy('slug')->pluck('slug')->all())->toBe(['avocet', 'whimbrel'])
        ->and($cleared['stays'])->toContain('Avocet', 'Ostrel 9', 'Weft R6')
        ->and($cleared['gone']['rigs'])->toBe(count($here['rigs']) - 1)
        ->and(Card::query()->find('ostrel-9'))->not->toBeNull()
        ->and(Capture::query()->whereNull('gone_at')->count())->toBe(0);
    expect($this->getJson('/api/v1/demo')->json())->toBe(['rigs' => [], 'cards' => 0, 'captures' => 0]);
    // Once more: what is there already is neither doubled nor overwritten.
    $this->postJson('/api/v1/demo')->assertCreated();
    expect(Rig::query()->where('slug', 'avocet')->count())->toBe(1)->and($this->getJson('/api/v1/rigs/avocet')->json('history.0.entry.text'))->toBe('mine now');
});
