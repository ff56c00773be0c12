<?php

declare(strict_types=1);

use Linguator\Core\Bench\Intents;
use Linguator\Core\Channel\Assignment;
use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Functions;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Finding\Code;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\OtherRig;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Handset\HandsetReview;
use Linguator\Core\Steps\Travel\CopySettings;
use Linguator\Core\Steps\Travel\KeepReading;
use Linguator\Core\Steps\Travel\ReverseChannel;
use Linguator\Core\Steps\Travel\TakeSettings;
use Linguator\Core\Steps\Travel\TellSubtrimModel;
use Linguator\Core\Steps\Travel\TravelDrafts;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Steps\Travel\TravelState;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\SubtrimModel;

/** @param  array<string, mixed>  $set */
function patched(RigDocument $rig, array $set): RigDocument
{
    return DemoRigs::changed($rig, RigPatch::of((array) json_decode(json_encode($set))));
}

function travelOf(RigDocument $rig, array $drafts = []): TravelReview
{
    return new TravelReview($rig, TravelDrafts::of($rig, (object) json_decode(json_encode((object) $drafts)))->sound);
}

function stateOf(RigDocument $rig, string $step): string
{
    return array_column(DemoRigs::review($rig)['steps'], 'state', 'key')[$step];
}

it('cuts the tiny glider to 78.1 %, and stops until it is cut', function () {
    $rig = DemoRigs::get('sanderling');
    expect(stateOf($rig, 'travel'))->toBe('stop');
    $solution = travelOf($rig)->row(1)->solution();
    expect($solution->settings->loPct)->toBe(78.1)->and($solution->settings->hiPct)->toBe(78.1);
    expect(travelOf($rig)->row(1)->findings()->all[0]->code)->toBe(Code::T1);

    $rig = DemoRigs::did($rig, new TakeSettings([1]));
    expect(travelOf($rig)->row(1)->state())->toBe(TravelState::Set)->and(travelOf($rig)->row(1)->findings())->toHaveCount(0);
    // The other sticks are not read, and a full stick would break their servos.
    expect(stateOf($rig, 'travel'))->toBe('stop')->and(travelOf($rig)->row(2)->state())->toBe(TravelState::Beforehand);

    $rig = DemoRigs::did($rig, new KeepReading(1, Reading::of(1100, 1500, 1900), 0.5, 'servo tester'));
    expect(travelOf($rig)->row(1)->state())->toBe(TravelState::Confirmed);

    // The other two on the same gimbals get the same ends; each is still to be read.
    $rig = DemoRigs::did($rig, new CopySettings(1, [2, 4]));
    expect(travelOf($rig)->row(2)->now()->loPct)->toBe(78.1)->and(travelOf($rig)->row(2)->state())->toBe(TravelState::Open);
});

it('says what explains a second reading that is not as predicted', function (float $lo, float $mid, float $hi, string $says, ?string $model) {
    $rig = DemoRigs::get('dunlin');
    $rig = DemoRigs::did($rig, new TakeSettings([4]));
    $rig = DemoRigs::did($rig, new KeepReading(4, Reading::of($lo, $mid, $hi)));
    $row = travelOf($rig)->row(4)->shown();
    expect($row->state)->toBe(TravelState::Residue)->and($row->explanation)->toContain($says)->and($row->explainsModel?->value)->toBe($model);
})->with([
    // Set: 94.3 / 101.2 %, sub-trim −18, read before at 100 / 100, 0 as 988 / 1518 / 2012.
    'nothing was entered' => [988, 1518, 2012, 'old settings', null],
    'the sub-trim with the other sign' => [1036.2, 1536, 2035.9, 'other sign', null],
    'the ends the wrong way round' => [963.6, 1500, 1965.8, 'wrong way round', null],
    'a sub-trim that moves only the centre' => [1018.2, 1500, 2017.9, 'moves only the centre', 'pivot'],
]);

it('writes the sub-trim model on the rig\'s own copy of the card', function () {
    $rig = DemoRigs::get('dunlin');
    $changed = DemoRigs::did($rig, new TellSubtrimModel(SubtrimModel::Pivot));
    expect($changed->cards[0]->node()->node('scale')->text('subtrim_model'))->toBe('pivot')->and($rig->cards[0]->node()->node('scale')->text('subtrim_model'))->toBe('after');
});

it('turns a direction round and says where reversals hide', function () {
    $rig = DemoRigs::get('dunlin');
    $rig = DemoRigs::did($rig, new TakeSettings([4], [4]));
    expect(travelOf($rig)->row(4)->now()->reversed)->toBeTrue();
    $channels = array_map(fn ($entry) => ['weight' => -100] + (array) $entry, $rig->node()->node('settings')->items('channels'));
    expect(travelOf(patched($rig, ['settings.channels' => $channels]))->row(4)->shown()->hidden)->toContain('cancel out');
});

it('follows the school that leaves the handset alone', function () {
    $rig = patched(DemoRigs::get('dunlin'), ['settings.school' => 'leave']);
    $travel = travelOf($rig)->shown();
    expect(array_filter($travel->rows, fn ($row): bool => $row->state !== TravelState::Confirmed))->toBe([])->and($travel->rows)->not->toBe([])->and([$travel->controllerRange->lo, $travel->controllerRange->hi])->toBe([1085.0, 2012.0]);
    // The thresholds still count: it cannot arm as it is.
    expect(stateOf($rig, 'travel'))->toBe('attention');
});

it('judges readings while they are typed, one bad row without spoiling the rest', function () {
    $rig = DemoRigs::get('dunlin');
    $drafts = TravelDrafts::of($rig, json_decode('{"1":{"lo":1000,"mid":1500,"hi":2000},"3":{"lo":1500,"mid":1400,"hi":2000},"4":{"lo":1e6,"mid":1500,"hi":2000},"2":{"lo":"x","mid":1,"hi":2}}'));
    expect(array_keys($drafts->sound))->toBe([1])->and(array_map(fn ($problem) => $problem->path, $drafts->problems))->toBe([3 => 'drafts.3.mid', 4 => 'drafts.4.lo', 2 => 'drafts.2.lo']);
    expect(travelOf($rig, ['1' => ['lo' => 1000, 'mid' => 1500, 'hi' => 2000]])->row(1)->state())->toBe(TravelState::Confirmed);
});

it('never arms the mapping craft before the throttle or its threshold is mended', function () {
    $rig = DemoRigs::get('dunlin');
    expect(DemoRigs::review($rig)['travel']['thresholds']['arms'])->toBeFalse();
    $mended = patched($rig, ['settings.thresholds' => ['low' => 1095]]);
    expect(DemoRigs::review($mended)['travel']['thresholds']['arms'])->toBeTrue();
});

it('gives the recipe of exactly these two boxes', function () {
    $steps = array_column(DemoRigs::review(DemoRigs::get('avocet'))['bind'][0]['recipe'], 'text');
    expect(implode(' ', $steps))->toContain('bind plug into Tarn T7')->toContain('stores its failsafe now: throttle low')->toContain('bind plug out of Tarn T7');
    $mote = DemoRigs::review(DemoRigs::get('sanderling'))['bind'][0]['recipe'];
    expect(array_values(array_filter(array_column($mote, 'seconds'))))->toEqual([10]);
    expect(DemoRigs::review(DemoRigs::get('oystercatcher'))['bind'])->toHaveCount(2);
});

it('says to step back before anything else after a try too close', function () {
    $rig = patched(DemoRigs::get('sanderling'), ['attempts' => [['hop' => 1, 'variant' => 'auto', 'channel_mode' => 'as it is', 'distance_m' => 0.3, 'bound' => false]]]);
    $hop = DemoRigs::review($rig)['bind'][0];
    expect($hop['because'])->toBe('0.3 m is too close: repeat at 2 m before changing anything else.')->and($hop['next']['variant'])->toBe('auto');
});

it('takes only attempts that this rig can make', function (array $told, string $path) {
    $rig = DemoRigs::get('avocet');
    expect(fn () => DemoRigs::did($rig, (new Intents(new Schemas))->read('log-attempt', (object) $told)))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'another hop' => [['hop' => 2, 'variant' => 'auto', 'channel_mode' => 'as it is', 'distance_m' => 2, 'bound' => true], 'hop'],
    'a protocol neither end has' => [['hop' => 1, 'variant' => 'k1', 'channel_mode' => 'as it is', 'distance_m' => 2, 'bound' => true], 'variant'],
    'another key' => [['hop' => 1, 'variant' => 'auto', 'channel_mode' => 'as it is', 'distance_m' => 2, 'bound' => true, 'luck' => 1], 'luck'],
]);

it('makes a bind stale when what it depends on changes, and whole again when that is taken back', function () {
    $rig = DemoRigs::get('avocet');
    expect(stateOf($rig, 'bind'))->toBe('done');
    $other = patched($rig, ['settings.receiver_number' => 8]);
    expect(stateOf($other, 'bind'))->toBe('attention')->and(stateOf(patched($other, ['settings.receiver_number' => 7]), 'bind'))->toBe('done');
});

it('finds a switch that misses its window, two functions on one channel, and a reserved one', function () {
    $rig = DemoRigs::get('dunlin');
    expect(stateOf($rig, 'switches'))->toBe('done');
    $missed = patched($rig, ['settings.windows' => [['name' => 'arm', 'channel' => 5, 'lo' => 1700, 'hi' => 1990, 'wanted' => [2]]]]);
    expect(stateOf($missed, 'switches'))->toBe('attention');
    $armed = patched($rig, ['settings.failsafe' => [['hop' => 1, 'mode' => 'stored', 'stored_us' => [1500, 1500, 988, 1500, 2012]]]]);
    expect(stateOf($armed, 'switches'))->toBe('stop');
    $twice = patched($rig, ['craft.functions' => [['function' => 'arm', 'channel' => 5], ['function' => 'mode', 'channel' => 5]], 'settings.switches' => [['function' => 'arm', 'channel' => 5], ['function' => 'mode', 'channel' => 5]]]);
    $review = DemoRigs::review($twice)['switches'];
    expect(array_column($review['findings'], 'code'))->toBe(['S5'])->and($review['proposal']['moves'])->toBe([['function' => 'mode', 'from' => 5, 'to' => 6]]);
    $reserved = patched(DemoRigs::get('oystercatcher'), ['settings.switches' => [['function' => 'light', 'channel' => 5]]]);
    expect(array_column(DemoRigs::review($reserved)['switches']['findings'], 'code'))->toContain('S6');
});

it('moves as little as possible to put channels right', function (array $functions, array $reserved, int $channels, ?array $moves) {
    $told = fn (array $functions): Functions => Functions::of(...array_map(fn (string $function, int $channel): FunctionChannel => new FunctionChannel($function, $channel), array_keys($functions), $functions));
    expect(Plain::of((new Assignment($told($functions), $reserved, $channels))->moves()))->toBe($moves);
    if ($moves !== null) {
        expect((new Assignment($told(array_column($moves, 'to', 'function') + $functions), $reserved, $channels))->clashes())->toBe([]);
    }
})->with([
    'nothing wrong' => [['throttle' => 3, 'arm' => 5, 'mode' => 6], [5 => 'arm'], 8, []],
    'a stranger on the reserved channel' => [['flap' => 5, 'gear' => 6], [5 => 'arm'], 8, [['function' => 'flap', 'from' => 5, 'to' => 7]]],
    'arm goes home, the stranger makes room' => [['flap' => 5, 'arm' => 6], [5 => 'arm'], 8, [['function' => 'flap', 'from' => 5, 'to' => 6], ['function' => 'arm', 'from' => 6, 'to' => 5]]],
    'beyond what gets through' => [['camera' => 12], [], 8, [['function' => 'camera', 'from' => 12, 'to' => 5]]],
    'no room' => [['a' => 5, 'b' => 5, 'c' => 5], [], 6, null],
]);

it('draws the budget of the pulse train in the airboat, and mends it by holding what is unused', function () {
    $train = DemoRigs::review(DemoRigs::get('mudlark'))['timing']['trains'][0];
    expect($train['budget']['verdict'])->toBe('ambiguous')->and($train['budget']['worst_sync_us'])->toEqual(1904)
        ->and($train['budget']['remedies']['hold_unused']['sound'])->toBeTrue()->and($train['used'])->toBe(2);
});

it('holds this chain against its alternatives', function () {
    $timing = DemoRigs::review(DemoRigs::get('avocet'))['timing'];
    $labels = array_column($timing['alternatives'], 'what');
    expect($labels)->toContain('tarn-a, 22 ms')->and(implode(' ', $labels))->toContain('16 × 11-bit');
    foreach ($timing['alternatives'] as $other) {
        expect($other['ms']['mean'] + $other['gain_ms'])->toEqualWithDelta($timing['latency']['ms']['mean'], 0.011);
    }
});

it('knows the clash of two memories with one receiver number', function () {
    $rig = DemoRigs::get('avocet');
    $items = fn (array $other): array => array_column((new HandsetReview($rig, [new OtherRig(...array_values($other))]))->items(), 'warning', 'key');
    expect($items(['name' => 'Ruff', 'memory' => '9', 'receiver_number' => 7])['receiver_number'])->toContain('Ruff')
        ->and($items(['name' => 'Ruff', 'memory' => '4', 'receiver_number' => 7])['receiver_number'])->toBeNull()
        ->and($items(['name' => 'Ruff', 'memory' => '4', 'receiver_number' => 2])['memory'])->toContain('Ruff');
    $alarm = array_column((new HandsetReview($rig))->items(), 'text', 'key')['alarm'];
    expect($alarm)->toContain('Alarm at 9 V, meter from 8.4 to 10.95 V');
});

it('puts what was set and proven on the sheet', function () {
    $rows = [];
    foreach (DemoRigs::review(DemoRigs::get('avocet'))['sheet'] as $section) {
        $rows[$section['title']] = array_column($section['rows'], 'value', 'label');
    }
    expect($rows['Travel in the handset']['2 elevator'])->toBe('87.1 / 88.7 %, sub-trim −4, reversed')
        ->and($rows['Binding']['Brack M4 to Tarn T7'])->toBe('tarn-b, at 2 m')
        ->and($rows['Proven']['Travel and centre'])->toBe('3 Nov 2026')
        ->and($rows['Switches']['flap on R2'])->toContain('1500');
});

it('says before any full stick which ends to enter, and takes them for no reading', function () {
    $rig = DemoRigs::get('sanderling');
    $row = travelOf($rig)->row(2);
    expect($row->state())->toBe(TravelState::Beforehand)->and($row->findings()->all[0]->message)->toBe('The elevator servo would be driven 112 µs too far.')
        ->and($row->solution()->settings->hiPct)->toBe(78.1)
        ->and(DemoRigs::review($rig)['readiness']['stops'])->toContain('The elevator servo would be driven 112 µs too far.');

    $rig = DemoRigs::did($rig, new TakeSettings([2]));
    $row = travelOf($rig)->row(2);
    expect($row->state())->toBe(TravelState::Open)->and($row->findings())->toHaveCount(0)->and($row->solution())->toBeNull()->and($row->now()->loPct)->toBe(78.1)
        ->and((new ChannelRecord($rig, 2))->ends())->toBeNull();

    // Read with these ends, a stick is confirmed at once.
    $rig = DemoRigs::did($rig, new KeepReading(2, Reading::of(1100, 1500, 1900)));
    expect(travelOf($rig)->row(2)->state())->toBe(TravelState::Confirmed);
});

it('confirms nothing that lies outside what the servo stands', function () {
    $rig = DemoRigs::did(DemoRigs::did(DemoRigs::get('sanderling'), new TakeSettings([2])), new KeepReading(2, Reading::of(1098.2, 1500, 1901.8)));
    $row = travelOf($rig)->row(2);
    expect($row->state())->not->toBe(TravelState::Confirmed)->and($row->findings()->all[0]->code)->toBe(Code::T1)
        ->and($row->solution()->predicted->lo)->toBeGreaterThanOrEqual(1100.0)->and($row->solution()->predicted->hi)->toBeLessThanOrEqual(1900.0);
});

it('turns a direction round and does nothing else, before any reading too', function () {
    $rig = DemoRigs::did(DemoRigs::get('sanderling'), new ReverseChannel(2));
    expect((array) (new ChannelRecord($rig, 2))->node()->value)->toBe(['channel' => 2, 'reversed' => true])
        ->and(travelOf($rig)->row(2)->findings()->all[0]->code)->toBe(Code::T1);
    expect((new ChannelRecord(DemoRigs::did($rig, new ReverseChannel(2)), 2))->now()->reversed)->toBeFalse();
});

it('keeps the stop of a servo when its stick is turned round, and the ends computed', function () {
    $rig = DemoRigs::did(DemoRigs::get('sanderling'), new ReverseChannel(1));
    $row = travelOf($rig)->row(1);
    expect($row->now())->toEqual(new ChannelSettings(100, 100, 0, true))->and($row->findings()->all[0]->message)->toContain('would be driven')
        ->and($row->state())->toBe(TravelState::Solved)->and($row->solution()->settings->loPct)->toBe(78.1);
    $rig = DemoRigs::did($rig, new TakeSettings([1]));
    expect(travelOf($rig)->row(1)->now()->reversed)->toBeTrue()->and(travelOf($rig)->row(1)->state())->toBe(TravelState::Set)->and(travelOf($rig)->row(1)->findings())->toHaveCount(0);
});

it('swaps the sides of a channel that is not even when it is turned round', function () {
    $rig = DemoRigs::did(DemoRigs::get('dunlin'), new KeepReading(4, Reading::of(988, 1518, 2012)));
    expect((new ChannelRecord(DemoRigs::did($rig, new ReverseChannel(4)), 4))->ends()->values())->toEqualWithDelta([1024.0, 1518.0, 2048.0], 1e-9);
});
