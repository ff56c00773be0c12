<?php

declare(strict_types=1);

use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\Verbs;

/** A handset with a radio of its own, a serial receiver and a controller that join without a single finding. */
function plainShelf(): array
{
    return [
        'handset' => ['id' => 'hand', 'kind' => 'handset', 'name' => 'Hand', 'channels' => 16, 'order' => 'AETR', 'pack' => ['chemistry' => 'life', 'cells' => 3],
            'radios' => [['id' => 'inside', 'protocols' => [['family' => 'weft', 'variant' => 'weft-8', 'frame_ms' => [9], 'channels' => 16]]]],
            'bay' => ['outputs' => [['format' => 's100i', 'level_v' => 3.3, 'channels' => 16]]]],
        'module' => ['id' => 'module', 'kind' => 'module', 'name' => 'Module', 'inputs' => [['format' => 's100i', 'level_max_v' => 5]],
            'protocols' => [['family' => 'tarn', 'variant' => 'tarn-b', 'frame_ms' => [11], 'channels' => 16]], 'supply' => ['min_v' => 5, 'max_v' => 12]],
        'receiver' => ['id' => 'rx', 'kind' => 'receiver', 'name' => 'Receiver', 'protocols' => [['family' => 'weft', 'variant' => 'weft-8', 'frame_ms' => [9], 'channels' => 16]],
            'outputs' => [['format' => 's100i', 'level_v' => 3.3, 'period_ms' => [9]]], 'channel_modes' => ['1-8', '1-16'], 'telemetry' => false],
        'controller' => ['id' => 'board', 'kind' => 'controller', 'name' => 'Board', 'order' => 'AETR', 'inputs' => [['format' => 's100i', 'level_max_v' => 3.6]], 'feeds_v' => 5],
    ];
}

/** What stands in `$altered` takes the place of what stood there; lists of plain values are replaced whole, DROP removes a key or card. */
function altered(array $there, array $altered): array
{
    foreach ($altered as $key => $value) {
        $isPlain = ! is_array($value) || ! is_array($there[$key] ?? null) || (array_is_list($value) && ! is_array($value[0] ?? null));
        $there[$key] = $isPlain ? $value : altered($there[$key], $value);
        if ($value === 'DROP') {
            unset($there[$key]);
        }
    }

    return $there;
}

/** The answer of `plan` for the plain shelf with some cards altered, added, or dropped. */
function planWith(array $altered, array $question = []): array
{
    $shelf = array_values(altered(plainShelf(), $altered));
    $input = json_decode(json_encode($question + ['shelf' => $shelf, 'handset' => 'hand', 'craft' => 'board', 'channels' => 8]));
    $answer = json_decode(json_encode((new Verbs(new Schemas))->ask('plan', $input)));
    (new Schemas)->check($answer, 'verbs/plan.out.json');

    return json_decode(json_encode($answer), true);
}

function codes(array $path): array
{
    return array_map(fn (array $finding): string => "{$finding['code']}:{$finding['severity']}", $path['findings']);
}

/** Alterations that give the best path this finding. */
dataset('findings', [
    'P2 the bay runs low' => ['P2:fix', ['receiver' => ['protocols' => [['family' => 'tarn', 'variant' => 'tarn-b', 'frame_ms' => [11], 'channels' => 16]]], 'module' => ['supply' => ['min_v' => 9.5]]], []],
    'P2 in the craft' => ['P2:fix', ['receiver' => ['supply' => ['min_v' => 6, 'max_v' => 10]]], []],
    'M2 the only listed frame has no room' => ['M2:fix', ['receiver' => ['outputs' => [['format' => 'ppm', 'level_v' => 3.3, 'period_ms' => [18]]]], 'controller' => ['inputs' => [['format' => 'ppm', 'level_max_v' => 3.6]]]], []],
    'M2 more than eight channels in a train of unknown period' => ['M2:check', ['receiver' => ['outputs' => [['format' => 'ppm', 'level_v' => 3.3, 'period_ms' => null, 'channels' => 12]]], 'controller' => ['inputs' => [['format' => 'ppm', 'level_max_v' => 3.6, 'channels' => 12]]]], ['channels' => 9]],
    'M5 telemetry ends at the wire' => ['M5:note', ['receiver' => ['telemetry' => true]], []],
    'M6 a reserved channel carries something else' => ['M6:fix', ['receiver' => ['reserved_channels' => [['channel' => 5, 'for' => 'arm']]]], ['functions' => [['function' => 'flap', 'channel' => 5]]]],
    'M6 nobody said what rides there' => ['M6:check', ['receiver' => ['reserved_channels' => [['channel' => 5, 'for' => 'arm']]]], []],
    'M7 the reader is too slow' => ['M7:fix', ['controller' => ['inputs' => [['format' => 's100i', 'level_max_v' => 3.6, 'max_rate_hz' => 60]]]], []],
    'M7 the reader may be too slow' => ['M7:check', ['receiver' => ['outputs' => [['format' => 's100i', 'level_v' => 3.3, 'period_ms' => null]]], 'controller' => ['inputs' => [['format' => 's100i', 'level_max_v' => 3.6, 'max_rate_hz' => 60]]]], []],
    'M8 one firmware generation known' => ['M8:check', ['receiver' => ['protocols' => [['firmware' => '2']]]], []],
    'M9 one region known' => ['M9:check', ['receiver' => ['protocols' => [['region' => 'world']]]], []],
    'M10 the second channel mode' => ['M10:note', ['handset' => ['radios' => [['protocols' => [['modes' => ['1-8', '1-16']]]]]], 'receiver' => ['channel_modes' => ['1-16']]], []],
    'M13 the level is not known' => ['M13:check', ['receiver' => ['outputs' => [['level_v' => null]]]], []],
    'M13 the polarity is not known' => ['M13:check', ['receiver' => ['outputs' => [['polarity' => null]]]], []],
    'O1 the handset must change' => ['O1:check', ['handset' => ['order' => 'TAER']], []],
]);

it('joins the plain shelf without a finding', function () {
    $path = planWith([])['paths'][0];
    expect($path['boxes'])->toBe(['hand', 'rx', 'board'])->and($path['findings'])->toBe([])->and($path['settings_to_change'])->toBe([]);
    // 9 ms air and wire each, half waited for on average, 1 ms and 3 ms on the way.
    expect($path['latency_ms']['mean'])->toEqualWithDelta(4.5 + 1 + 4.5 + 3, 1e-9);
});

it('reports the finding', function (string $finding, array $altered, array $question) {
    $answer = planWith($altered, $question);
    expect(codes($answer['paths'][0]))->toContain($finding);
})->with('findings');

it('joins nothing, and names the miss', function (string $code, string $from, string $to, array $altered, array $question) {
    $answer = planWith($altered, $question);
    expect($answer['paths'])->toBe([]);
    expect($answer['nearest_miss']['misses'])->toContain(['from' => $from, 'to' => $to, 'code' => $code]);
})->with([
    'M1 the radio inside stays on' => ['M1', 'hand', 'module', ['handset' => ['radios' => [['always_on' => true]]], 'receiver' => ['protocols' => [['family' => 'tarn', 'variant' => 'tarn-b', 'frame_ms' => [11]]]]], ['through' => ['module']]],
    'M3 wrong polarity' => ['M3', 'rx', 'board', ['receiver' => ['outputs' => [['polarity' => 'flipped']]]], []],
    'M8 firmware generations differ' => ['M8', 'hand', 'rx', ['handset' => ['radios' => [['protocols' => [['firmware' => '1']]]]], 'receiver' => ['protocols' => [['firmware' => '2']]]], []],
    'M9 regions differ' => ['M9', 'hand', 'rx', ['handset' => ['radios' => [['protocols' => [['region' => 'world']]]]], 'receiver' => ['protocols' => [['region' => 'listen-first']]]], []],
    'M10 no channel mode it takes' => ['M10', 'hand', 'rx', ['handset' => ['radios' => [['protocols' => [['modes' => ['1-8']]]]]], 'receiver' => ['channel_modes' => ['1-16']]], []],
    'M11 a level too high' => ['M11', 'rx', 'board', ['receiver' => ['outputs' => [['level_v' => 5]]]], []],
    'M12 too few channels' => ['M12', 'hand', 'rx', ['receiver' => ['protocols' => [['channels' => 6]]]], []],
    'M14 no common format' => ['M14', 'rx', 'board', ['receiver' => ['outputs' => [['format' => 's420c']]]], []],
    'M15 no common family' => ['M15', 'hand', 'rx', ['module' => 'DROP', 'receiver' => ['protocols' => [['family' => 'kelp']]]], []],
    'M15 another variant' => ['M15', 'hand', 'rx', ['module' => 'DROP', 'receiver' => ['protocols' => [['variant' => 'weft-16']]]], []],
    'M15 a receiver that refuses auto' => ['M15', 'hand', 'rx', ['module' => 'DROP', 'handset' => ['radios' => [['protocols' => [['variant' => 'auto']]]]], 'receiver' => ['protocols' => [['refuses_auto' => true]]]], []],
    'P1 the bay gives too much' => ['P1', 'hand', 'module', ['receiver' => ['protocols' => [['family' => 'tarn', 'variant' => 'tarn-b', 'frame_ms' => [11]]]]], ['pack' => ['chemistry' => 'lipo', 'cells' => 3]]],
    'P1 the craft gives too much' => ['P1', 'board', 'rx', ['receiver' => ['supply' => ['max_v' => 4.5]]], []],
]);

it('mends a polarity by one converter, and a format by two', function () {
    $flip = ['id' => 'flip', 'kind' => 'converter', 'name' => 'Flip', 'input' => ['format' => 's100i', 'polarity' => 'flipped', 'level_max_v' => 5], 'output' => ['format' => 's100i', 'level_v' => 3.3]];
    $flipped = ['receiver' => ['outputs' => [['polarity' => 'flipped']]]];
    expect(planWith($flipped + ['flip' => $flip])['paths'][0]['boxes'])->toBe(['hand', 'rx', 'flip', 'board']);

    $c100 = ['id' => 'c100', 'kind' => 'converter', 'name' => 'C100', 'input' => ['format' => 's420c', 'level_max_v' => 5], 'output' => ['format' => 's100i', 'polarity' => 'flipped', 'level_v' => 3.3]];
    $crossed = ['receiver' => ['outputs' => [['format' => 's420c']], 'telemetry' => true]];
    $path = planWith($crossed + ['flip' => $flip, 'c100' => $c100])['paths'][0];
    expect($path['boxes'])->toBe(['hand', 'rx', 'c100', 'flip', 'board'])->and($path['telemetry'])->toBe('link')->and(codes($path))->toContain('M5:note');
    expect(planWith($crossed + ['flip' => $flip, 'c100' => $c100, 'third' => ['id' => 'third'] + $c100], ['channels' => 17])['paths'])->toBe([]);
});

it('reaches over a relay only when it may, and prefers the way without one', function () {
    $relay = [
        'receiver' => ['supply' => ['max_v' => 10]],
        'controller' => ['inputs' => [['format' => 's420c', 'level_max_v' => 3.6]]],
        'far' => ['id' => 'far', 'kind' => 'receiver', 'name' => 'Far', 'protocols' => [['family' => 'tarn', 'variant' => 'auto', 'frame_ms' => [11], 'channels' => 16]], 'outputs' => [['format' => 's420c', 'level_v' => 3.3, 'period_ms' => [11]]], 'telemetry' => true],
        'handset' => ['bay' => ['outputs' => [['format' => 's115u']]]],
    ];
    expect(planWith($relay)['paths'])->toBe([]);
    $path = planWith($relay, ['allow_relay' => true])['paths'][0];
    expect($path['boxes'])->toBe(['hand', 'rx', 'module', 'far', 'board'])->and($path['telemetry'])->toBe('none');
    $paths = planWith(['controller' => ['inputs' => [['format' => 's100i'], ['format' => 's420c', 'level_max_v' => 3.6]]]] + $relay, ['allow_relay' => true])['paths'];
    expect($paths[0]['boxes'])->toBe(['hand', 'rx', 'board'])->and(count($paths))->toBe(2);
});

it('lets plugs mend the order at labelled pins, and a switchable module before the handset', function () {
    $pins = ['receiver' => ['outputs' => [['format' => 'pwm', 'labels' => ['T', 'A', 'E', 'R', 'G', 'X', 'Y', 'Z']]]],
        'controller' => ['id' => 'board', 'kind' => 'servo_set', 'name' => 'Servos', 'order' => 'DROP', 'inputs' => 'DROP', 'servos' => [['function' => 'throttle']]]];
    $path = planWith($pins)['paths'][0];
    expect(codes($path))->toBe(['O1:note'])->and($path['settings_to_change'])->toBe([]);

    $module = ['module' => ['remap' => ['expects' => 'AETR', 'sends' => 'TAER', 'switchable' => true]],
        'receiver' => ['protocols' => [['family' => 'tarn', 'variant' => 'tarn-b', 'frame_ms' => [11]]]]];
    $path = planWith($module)['paths'][0];
    expect($path['settings_to_change'])->toContain(['box' => 'module', 'setting' => 'remap', 'to' => false])->and(codes($path))->toBe([]);
});

it('sends the throttle past a controller that does not pass it, where the receiver has a pin', function () {
    $gyro = ['controller' => ['outputs' => ['passes_throttle' => false, 'pins' => 8]]];
    expect(codes(planWith($gyro)['paths'][0]))->toContain('M4:fix');
    $withPins = $gyro + ['receiver' => ['outputs' => [1 => ['format' => 'pwm', 'labels' => ['A', 'E', 'T', 'R']]]]];
    expect(codes(planWith($withPins)['paths'][0]))->toContain('M4:note');
});

it('offers at most three ways, best first', function () {
    $more = [];
    foreach (range(1, 6) as $k) {
        $more["rx$k"] = ['id' => "rx$k"] + altered(plainShelf()['receiver'], ['outputs' => [['level_v' => null]]]);
    }
    $paths = planWith($more)['paths'];
    // All as long and as fast: the ids decide.
    expect(array_map(fn (array $path): string => $path['boxes'][1], $paths))->toBe(['rx', 'rx1', 'rx2']);
});

/** What must be changed, as "box setting to". */
function changesOf(array $answer): array
{
    $changes = array_map(fn (array $change): string => "{$change['box']} {$change['setting']} ".json_encode($change['to']), $answer['paths'][0]['settings_to_change']);
    sort($changes);

    return $changes;
}

it('takes the shortest frame both ends can use, and says so where it is not the one as delivered', function (array $sent, ?array $heard, float $frame, array $changes) {
    $protocol = fn (?array $frames): array => [array_filter(['family' => 'weft', 'variant' => 'weft-8', 'channels' => 16, 'frame_ms' => $frames])];
    $handset = ['id' => 'second', 'kind' => 'handset', 'name' => 'Second', 'channels' => 16, 'order' => 'AETR', 'radios' => [['id' => 'inside', 'protocols' => $protocol($sent)]]];
    $receiver = ['id' => 'other', 'kind' => 'receiver', 'name' => 'Other', 'protocols' => $protocol($heard), 'outputs' => [['format' => 's100i', 'level_v' => 3.3, 'period_ms' => [9]]], 'channel_modes' => ['1-8', '1-16'], 'telemetry' => false];
    $answer = planWith(['receiver' => 'DROP', 'other' => $receiver, 'second' => $handset], ['handset' => 'second']);
    expect(changesOf($answer))->toBe($changes)->and($answer['paths'][0]['links'][0]['settings']['frame_ms'])->toEqual($frame);
})->with([
    'the same one' => [[9], [9], 9, []],
    'the second one of the sender' => [[9, 7], [7], 7, ['second frame_ms 7']],
    'the shorter of two' => [[9, 7], [9, 7], 7, ['second frame_ms 7']],
    'as delivered and shortest' => [[7, 9], [9, 7], 7, []],
    'the other end does not say' => [[9, 7], null, 7, ['second frame_ms 7']],
    'only the longer one is heard' => [[9, 7], [9], 9, []],
]);

it('has room for the gap of a train to the microsecond', function (float $periodMs, array $codes) {
    // Eight channels of 2012 µs and 3000 µs of gap.
    $answer = planWith(['receiver' => ['outputs' => [['format' => 'ppm', 'level_v' => 3.3, 'period_ms' => [$periodMs]]]], 'controller' => ['inputs' => [['format' => 'ppm', 'level_max_v' => 3.6]]]]);
    expect(array_values(array_filter(codes($answer['paths'][0]), fn (string $code): bool => str_starts_with($code, 'M2'))))->toBe($codes);
})->with([[19.096, []], [19.095, ['M2:fix']], [22, []]]);
