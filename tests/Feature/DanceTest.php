<?php

declare(strict_types=1);

use Linguator\Core\Document\Schemas;

it('takes a dance over in one entry that can be taken back, and says at its place what cannot be', function () {
    $this->demo();
    $slug = $this->postJson('/api/v1/rigs/dunlin/duplicate', ['name' => 'Turnstone two'])->assertCreated()->json('slug');
    $address = "/api/v1/rigs/$slug/dance";
    fittingScreen('dance_set_up', $this->getJson($address)->getContent());
    $setUp = $this->getJson($address)->assertOk()->json();
    expect($setUp['moves'])->toHaveCount(9)->and($setUp['gimbals'])->toBe(['R', 'T', 'A', 'E'])->and($setUp['stand_in_refusal'])->toBeNull();
    $danced = $this->postJson("$address/stand-in", ['seed' => 3])->assertOk()->json();
    fittingScreen('dance_shown', $this->postJson($address, $danced)->getContent());
    $shown = $this->postJson($address, $danced)->assertOk()->json();
    expect($shown['order'])->toBe('AETR')->and($shown['redo'])->toBe([])->and(array_column($shown['lines'], 'key'))->toContain('travel/T', 'order');

    $revision = $this->getJson("/api/v1/rigs/$slug")->json('revision');
    $take = fn (array $told) => $this->postJson("$address/take", $told + $danced + ['revision' => $revision, 'keys' => ['order', 'travel/T'], 'by' => 'Wren']);
    $take(['keys' => ['wings']])->assertStatus(422)->assertJsonPath('error.path', 'keys.0');
    $take(['by' => ' '])->assertStatus(422)->assertJsonPath('error.path', 'by');
    $take(['revision' => $revision - 1])->assertStatus(409);
    $take(['log' => []])->assertStatus(422)->assertJsonPath('error.path', 'log');
    $take(['log' => [['t_ms' => 0, 'us' => ['high']]]])->assertStatus(422)->assertJsonPath('error.path', 'log.0.us.0');
    expect($this->getJson("/api/v1/rigs/$slug")->json('revision'))->toBe($revision);

    $rig = $take([])->assertOk()->json();
    expect($rig['history'][0]['entry']['text'])->toBe('Danced: order, travel of throttle')->and($rig['review']['order']['proof']['state'])->toBe('holds');
    $back = $this->postJson("/api/v1/rigs/$slug/undo", ['revision' => $rig['revision']])->assertOk()->json();
    expect(count($back['document']['checks']))->toBe(count($rig['document']['checks']) - 1)->and(count($back['document']['measurements'] ?? []))->toBe(count($rig['document']['measurements']) - 1);
});

it('dances with a fault put in, and says what a rig cannot show', function () {
    $this->demo();
    $danced = $this->postJson('/api/v1/rigs/dunlin/dance/stand-in', ['seed' => 1, 'faults' => ['order_mismatch']])->assertOk()->json();
    expect($danced['prompts'])->toHaveCount(9);
    $this->postJson('/api/v1/rigs/dunlin/dance/stand-in', ['seed' => PHP_INT_MIN])->assertOk();
    $this->postJson('/api/v1/rigs/dunlin/dance/stand-in', ['faults' => ['wings']])->assertStatus(422);
    $this->postJson('/api/v1/rigs/dunlin/dance/stand-in', ['faults' => ['wrong_radio_on']])->assertStatus(422)->assertJsonPath('error.path', 'faults');
    $blank = $this->postJson('/api/v1/rigs', ['name' => 'Bare', 'craft_kind' => 'plane'])->assertCreated()->json('slug');
    expect($this->getJson("/api/v1/rigs/$blank/dance")->assertOk()->json('stand_in_refusal'))->toBeString();
    $this->getJson('/api/v1/rigs/nobody/dance')->assertNotFound();
});

it('reads a capture of the desk as a dance, takes it over, and dances the sticks once more to confirm', function () {
    $this->demo();
    $slug = $this->postJson('/api/v1/rigs/dunlin/duplicate', ['name' => 'Turnstone three'])->assertCreated()->json('slug');
    $address = "/api/v1/rigs/$slug/dance";
    $danced = $this->postJson("$address/stand-in", ['seed' => 4])->json('log');
    // As a receiver's port would have sent it, kept on the desk.
    $rows = implode("\n", array_map(static fn (array $row): string => $row['t_ms'].','.implode(',', $row['us']), $danced));
    $channels = implode(',', array_map(static fn (int $k): string => "ch$k", range(1, count($danced[0]['us']))));
    $capture = $this->postJson('/api/v1/captures', ['text' => "t_ms,$channels\n$rows\n", 'name' => 'danced.csv'])->assertCreated()->json('id');
    $read = $this->postJson("/api/v1/captures/$capture/rows", ['options' => (object) []])->assertOk()->json();
    expect($read['name'])->toBe('danced.csv')->and($read['is_sound'])->toBeFalse()->and(count($read['log']))->toBe(count($danced))->and($read['log'][0]['us'])->toHaveCount(count($danced[0]['us']));
    $shown = $this->postJson($address, ['log' => $read['log'], 'prompts' => []])->assertOk()->json();
    expect($shown['order'])->toBe('AETR')->and($shown['redo'])->toBe([]);
    // What came through a sound input is told apart, kept as values too.
    $ear = $this->postJson('/api/v1/captures', ['text' => "t_ms,$channels\n$rows\n", 'name' => 'by-ear-20261129.csv'])->json('id');
    $this->postJson("/api/v1/captures/$ear/rows", ['options' => (object) []])->assertOk()->assertJsonPath('is_sound', true);
    $this->postJson('/api/v1/captures/9999/rows', ['options' => (object) []])->assertNotFound();

    $short = $this->getJson("$address?short=1")->assertOk()->json();
    expect(array_column($short['moves'], 'move'))->toBe(['rest', 'stick', 'stick', 'stick', 'stick', 'rest']);
    $again = $this->postJson("$address/stand-in", ['seed' => 5, 'short' => true])->json();
    expect(array_column($again['prompts'], 'move'))->toBe(range(0, 5))
        ->and(array_column($this->postJson($address, $again + ['short' => true])->assertOk()->json('lines'), 'key'))->not->toContain('levels/arm');
});

it('tells what a stick that is held says while it goes on, and refuses sticks that are none', function () {
    $this->demo();
    $address = '/api/v1/rigs/dunlin/dance';
    $danced = $this->postJson("$address/stand-in", ['seed' => 4])->json();
    $until = $danced['prompts'][3]['t_ms'];
    $log = array_values(array_filter($danced['log'], static fn (array $row): bool => $row['t_ms'] < $until));
    $told = ['log' => $log, 'prompts' => array_slice($danced['prompts'], 0, 3)];
    $first = $this->postJson($address, $told)->assertOk()->assertJsonPath('sign', null)->assertJsonPath('signs_with', null)->json();
    // The rudder is known; it is held where it went first, while the next stick is asked for.
    $rudder = array_values(array_filter($first['channels'], static fn (array $one): bool => ($one['letter'] ?? '') === 'R'))[0];
    $known = [array_intersect_key($rudder, array_flip(['letter', 'channel', 'lo', 'mid', 'hi', 'reversed']))];
    $held = end($log)['us'];
    $held[$rudder['channel'] - 1] = $rudder['reversed'] ? $rudder['lo'] : $rudder['hi'];
    $rows = array_map(static fn (int $k): array => ['t_ms' => $until + 20 * $k, 'us' => $k < 5 || $k > 95 ? end($log)['us'] : $held], range(0, 110));
    $told = ['log' => [...$log, ...$rows], 'prompts' => array_slice($danced['prompts'], 0, 4), 'known' => $known];
    $this->postJson($address, $told)->assertOk()->assertJsonPath('sign.says', 'skip')->assertJsonPath('sign.is_over', true)->assertJsonPath('signs_with', fn (string $words): bool => str_contains($words, 'rudder'));
    $this->postJson($address, ['known' => [['letter' => 'X', 'channel' => 1]]] + $told)->assertStatus(422)->assertJsonPath('error.path', 'known.0.letter');
    $this->postJson($address, ['known' => 'R'] + $told)->assertStatus(422)->assertJsonPath('error.path', 'known');
});

it('lets the stand-in hold what readings ask for, and judges the axes of a game controller', function () {
    $this->demo();
    expect($this->postJson('/api/v1/rigs/dunlin/steady/stand-in', ['kind' => 'stick'])->assertOk()->json('log'))->not->toBe([]);
    $this->postJson('/api/v1/rigs/dunlin/steady/stand-in', ['kind' => 'knob'])->assertStatus(422)->assertJsonPath('error.path', 'kind');
    $rows = array_map(static fn (int $k): array => ['t_ms' => 20 * $k, 'pct' => [$k < 20 ? -100 : ($k < 40 ? 100 : 0), 0]], range(0, 80));
    $axes = $this->postJson('/api/v1/live/axes', ['log' => $rows])->assertOk()->json('axes');
    expect(array_column($axes, 'state'))->toBe(['well', 'unmoved']);
    (new Schemas)->check((object) ['axes' => array_map(static fn (array $one): stdClass => (object) $one, $axes)], 'screens.schema.json');
    $this->postJson('/api/v1/live/axes', ['log' => [['t_ms' => 0, 'pct' => [1, 2]], ['t_ms' => 20, 'pct' => [1]]]])->assertStatus(422);
    $this->postJson('/api/v1/live/axes', ['log' => []])->assertStatus(422)->assertJsonPath('error.path', 'log');
    $this->postJson('/api/v1/live/axes', ['log' => [['t_ms' => 0, 'pct' => [1e9]]]])->assertStatus(422);
});
