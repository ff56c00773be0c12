<?php

declare(strict_types=1);

use Linguator\Core\Document\Schemas;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\SetBy;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Failsafe\SetFailsafe;
use Linguator\Core\Steps\Failsafe\TestFailsafe;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Verb\Verbs;

/** A rig of three or four boxes, as documents have it. */
function lossRig(string $craft, ?string $mode, ?string $way, array $receiver, string $end, array $more = []): array
{
    $controller = ['id' => 'board', 'kind' => 'controller', 'name' => 'Board', 'order' => 'AETR', 'inputs' => ['s100i', 'pwm'], 'watches_failsafe' => $end === 'watching' ? true : ($end === 'blind' ? false : null)];
    $servos = ['id' => 'servos', 'kind' => 'servo_set', 'name' => 'Servos', 'servos' => [['function' => 'throttle']]];

    return array_replace_recursive([
        'linguator' => 1, 'name' => 'Ruff', 'craft' => ['kind' => $craft, 'functions' => [['function' => 'throttle', 'channel' => 3]]],
        'chain' => [['id' => 'hand', 'kind' => 'handset', 'name' => 'Hand', 'order' => 'AETR'],
            ['id' => 'rx', 'kind' => 'receiver', 'name' => 'Receiver', 'failsafe' => $receiver],
            $end === 'servos' ? $servos : $controller],
        'settings' => ['links' => [['from' => 'rx', 'to' => $end === 'servos' ? 'servos' : 'board', 'via' => $end === 'servos' ? 'pwm' : 's100i']],
            'failsafe' => [['hop' => 1, 'mode' => $mode, 'set_by' => $way, 'stored_us' => [1500, 1500, 1000, 1500], 'made_with' => ['order' => 'AETR']]]],
    ], $more);
}

function askLoss(array $rig): array
{
    $answer = json_decode(json_encode((new Verbs(new Schemas))->ask('failsafe', json_decode(json_encode(['rig' => $rig])))));
    (new Schemas)->check($answer, 'verbs/failsafe.out.json');

    return json_decode(json_encode($answer), true);
}

const MODES = ['hold', 'stored', 'none', 'flag'];
const WAYS = ['handset', 'button', 'bind', 'module'];
const CRAFTS = ['multirotor', 'plane', 'glider', 'boat', 'car'];

/** What must come of it, written out by hand: first what the receiver does, then what reads it. */
function byHand(string $mode, string $end, string $craft): string
{
    $table = [
        'hold' => ['servos' => 'holds_last', 'watching' => 'holds_last', 'blind' => 'holds_last', 'unsaid' => 'holds_last'],
        'none' => ['servos' => 'pulses_stop', 'watching' => 'controller_failsafe', 'blind' => 'holds_last', 'unsaid' => 'unknown'],
        'flag' => ['servos' => 'holds_last', 'watching' => 'controller_failsafe', 'blind' => 'holds_last', 'unsaid' => 'unknown'],
        // 1000 µs is low throttle: off for what flies, full astern for what has its middle in the middle.
        'stored' => array_fill_keys(['servos', 'watching', 'blind', 'unsaid'], in_array($craft, ['boat', 'car'], true) ? 'full_throttle' : 'motor_off_neutral'),
    ];

    return $table[$mode][$end];
}

it('agrees with rules written out by hand for every way to set it, mode, craft and end', function () {
    $count = 0;
    foreach (CRAFTS as $craft) {
        foreach (['servos', 'watching', 'blind', 'unsaid'] as $end) {
            foreach (MODES as $mode) {
                foreach (WAYS as $way) {
                    $hop = askLoss(lossRig($craft, $mode, $way, ['modes' => MODES, 'set_by' => [$way]], $end))['hops'][0];
                    expect($hop['outcome'])->toBe(byHand($mode, $end, $craft), "$craft, $end, $mode");
                    expect(array_column($hop['findings'], 'code'))->not->toContain('F4')->toContain('F6');
                    // A way this receiver has not: its first mode is what happens.
                    $other = $way === 'bind' ? 'button' : 'bind';
                    $wrong = askLoss(lossRig($craft, $mode, $other, ['modes' => ['none', ...array_diff(MODES, ['none'])], 'set_by' => [$way]], $end))['hops'][0];
                    expect($wrong['outcome'])->toBe(byHand('none', $end, $craft))->and(array_column($wrong['findings'], 'code'))->toContain('F4');
                    $count++;
                }
            }
        }
    }
    expect($count)->toBe(320);
});

it('goes stale with every change of direction, travel, order, receiver or receiver number, and only with those', function (array $change, bool $stale) {
    $rig = DemoRigs::get('avocet');
    $changed = DemoRigs::changed($rig, RigPatch::of((array) json_decode(json_encode($change))));
    $codes = array_map(fn ($finding) => $finding->code->value, (new FailsafeReview($changed))->hops[0]->findings()->all);
    expect(in_array('F5', $codes, true))->toBe($stale)->and(in_array('F6', $codes, true))->toBe($stale);
    expect(array_map(fn ($finding) => $finding->code->value, (new FailsafeReview($rig))->hops[0]->findings()->all))->toBe(['F8']);
})->with([
    'order' => [['settings.order' => 'TAER'], true],
    'remapping' => [['settings.remap' => ['brack-m4' => false]], true],
    'a direction' => [['settings.channels' => [['channel' => 1, 'reversed' => true, 'ends_us' => [1050, 1500, 1950]], ['channel' => 2, 'reversed' => true, 'ends_us' => [1050, 1500, 1950]], ['channel' => 3], ['channel' => 4, 'ends_us' => [1050, 1500, 1950]]]], true],
    'the ends' => [['settings.channels' => [['channel' => 1, 'ends_us' => [1100, 1500, 1900]], ['channel' => 2, 'reversed' => true, 'ends_us' => [1050, 1500, 1950]], ['channel' => 3], ['channel' => 4, 'ends_us' => [1050, 1500, 1950]]]], true],
    'the receiver number' => [['settings.receiver_number' => 1], true],
    'an antenna' => [['settings.antenna' => 'elsewhere'], false],
    'a memory' => [['settings.memory' => 1], false],
    'the same ends and directions spelled out' => [['settings.channels' => [['channel' => 1, 'reversed' => false, 'ends_us' => [1050, 1500, 1950]], ['channel' => 2, 'reversed' => true, 'ends_us' => [1050.0, 1500.0, 1950.0]], ['channel' => 3, 'ends_us' => [1000, 1500, 2000]], ['channel' => 4, 'ends_us' => [1050, 1500, 1950]], ['channel' => 5, 'reversed' => false]]], false],
]);

it('stops the relay until its first hop is mended and tested', function () {
    $rig = DemoRigs::get('oystercatcher');
    $severities = fn ($rig): array => array_map(fn ($hop) => $hop->severity()->value, (new FailsafeReview($rig))->hops);
    expect($severities($rig))->toBe(['stop', 'ok']);
    $rig = DemoRigs::did($rig, new SetFailsafe(1, FailsafeMode::None, SetBy::Button));
    // The long-range module goes on with its last values when nothing comes in: silence does not help here.
    expect((new FailsafeReview($rig))->hops[0]->outcome()->value)->toBe('holds_last');
    $rig = DemoRigs::did($rig, new SetFailsafe(1, FailsafeMode::Stored, SetBy::Button, [1500, 1500, 1500, 1500]));
    expect($severities($rig))->toBe(['stop', 'ok'])->and((new FailsafeReview($rig))->hops[0]->findings()->all[0]->code->value)->toBe('F7');
    $rig = DemoRigs::did($rig, new TestFailsafe(1, true, 'motor stopped', 'Tern'));
    expect($severities($rig))->toBe(['ok', 'ok']);
});

it('follows the throttle through a remap to where the controller takes it', function () {
    // The module sends TAER: throttle comes out on channel 1, where the controller looks for it.
    $module = ['id' => 'mod', 'kind' => 'module', 'name' => 'Module', 'inputs' => ['ppm'], 'protocols' => [['family' => 'tarn', 'variant' => 'auto', 'order' => 'TAER']], 'remap' => ['expects' => 'AETR']];
    $rig = lossRig('multirotor', 'stored', 'button', ['modes' => ['stored'], 'set_by' => ['button']], 'watching');
    array_splice($rig['chain'], 1, 0, [$module]);
    $rig['chain'][2]['protocols'] = [['family' => 'tarn', 'variant' => 'tarn-b']];
    $rig['chain'][3]['order'] = 'TAER';
    $rig['settings']['failsafe'][0]['stored_us'] = [2000, 1500, 1000, 1500];
    expect(askLoss($rig)['hops'][0]['outcome'])->toBe('full_throttle');
    $rig['settings']['failsafe'][0]['stored_us'] = [1000, 1500, 2000, 1500];
    expect(askLoss($rig)['hops'][0]['outcome'])->toBe('motor_off_neutral');
    // That handset channel is 3: reversed there, low is high.
    $rig['settings']['channels'] = [['channel' => 3, 'reversed' => true]];
    expect(askLoss($rig)['hops'][0]['outcome'])->toBe('full_throttle');
});

it('recommends silence to a watching multirotor and stored values to the rest, or what the receiver has', function (string $craft, string $end, array $modes, ?string $mode) {
    expect(askLoss(lossRig($craft, null, null, ['modes' => $modes], $end))['recommended']['hops'][0]['mode'])->toBe($mode);
})->with([
    'multirotor' => ['multirotor', 'watching', ['hold', 'stored', 'none'], 'none'],
    'multirotor without silence' => ['multirotor', 'watching', ['hold', 'stored'], 'stored'],
    'multirotor, controller blind' => ['multirotor', 'blind', ['none', 'stored'], 'stored'],
    'glider' => ['glider', 'servos', ['hold', 'stored', 'none'], 'stored'],
    'car that can only stop' => ['car', 'servos', ['none'], 'none'],
    'only a flag' => ['plane', 'watching', ['hold', 'flag'], 'flag'],
    'nothing but holding' => ['plane', 'servos', ['hold'], null],
]);

it('says when return and arm are stored', function () {
    $hold = ['chain' => [2 => ['position_hold' => true]], 'settings' => ['windows' => [['name' => 'return', 'channel' => 6, 'lo' => 1700, 'hi' => 2100]]]];
    $rig = lossRig('multirotor', 'stored', 'button', ['modes' => ['stored'], 'set_by' => ['button']], 'watching', $hold);
    $rig['settings']['failsafe'][0]['stored_us'] = [1500, 1500, 1350, 1500, 1000, 1900];
    $hop = askLoss($rig)['hops'][0];
    expect($hop['outcome'])->toBe('return_home')->and(array_column($hop['findings'], 'code'))->toContain('F2');
    $rig['settings']['failsafe'][0]['stored_us'][2] = 1400;
    expect(array_column(askLoss($rig)['hops'][0]['findings'], 'code'))->not->toContain('F2');
    $rig['settings']['failsafe'][0]['stored_us'] = [1500, 1500, 1000, 1500, 1900, 1000];
    $rig['settings']['windows'][] = ['name' => 'arm', 'channel' => 5, 'lo' => 1700, 'hi' => 2100];
    expect(array_column(askLoss($rig)['hops'][0]['findings'], 'code'))->toContain('F3');
});

it('calls the edges of an arm window inside, also for what is stored', function (float $us, bool $isArmed) {
    $rig = lossRig('multirotor', 'stored', 'button', ['modes' => ['stored'], 'set_by' => ['button']], 'watching', ['settings' => ['windows' => [['name' => 'arm', 'channel' => 5, 'lo' => 1700, 'hi' => 2000]]]]);
    $rig['settings']['failsafe'][0]['stored_us'] = [1500, 1500, 1000, 1500, $us];
    expect(in_array('F3', array_column(askLoss($rig)['hops'][0]['findings'], 'code'), true))->toBe($isArmed);
})->with([[1699.9, false], [1700, true], [2000, true], [2000.1, false]]);

it('lets a flag help only where every wire up to the controller carries one', function (string $first, string $second, string $outcome) {
    $rig = lossRig('plane', 'flag', 'button', ['modes' => ['flag'], 'set_by' => ['button']], 'watching');
    array_splice($rig['chain'], 2, 0, [['id' => 'conv', 'kind' => 'converter', 'name' => 'Converter', 'input' => ['format' => $first], 'output' => ['format' => $second]]]);
    $rig['chain'][3]['inputs'] = [$second];
    $rig['settings']['links'] = [['from' => 'rx', 'to' => 'conv', 'via' => $first], ['from' => 'conv', 'to' => 'board', 'via' => $second]];
    expect(askLoss($rig)['hops'][0]['outcome'])->toBe($outcome);
})->with([
    ['s100i', 's100i', 'controller_failsafe'],
    ['s100i', 's115f', 'controller_failsafe'],
    ['s100i', 'ppm', 'holds_last'],
    ['ppm', 's100i', 'holds_last'],
    ['s420c', 's100i', 'holds_last'],
]);

it('has no motor to fear for where the craft has none', function () {
    $rig = lossRig('glider', 'stored', 'button', ['modes' => ['stored'], 'set_by' => ['button']], 'watching');
    $rig['settings']['failsafe'][0]['stored_us'] = [1500, 1500, 2000, 1500];
    expect(array_column(askLoss($rig)['hops'][0]['findings'], 'code'))->toContain('F1');
    $rig['craft']['functions'] = [['function' => 'aileron', 'channel' => 1], ['function' => 'elevator', 'channel' => 2]];
    $hop = askLoss($rig)['hops'][0];
    expect(array_column($hop['findings'], 'code'))->not->toContain('F1')->and($hop['outcome'])->toBe('motor_off_neutral');
});

/** The same with a module in front that does this when its input is silent. */
function throughModule(?string $onSilence, array $more = []): array
{
    $module = ['id' => 'mod', 'kind' => 'module', 'name' => 'Module', 'inputs' => ['ppm'], 'protocols' => [['family' => 'tarn', 'variant' => 'tarn-b']]] + ($onSilence === null ? [] : ['on_input_loss' => $onSilence]);
    $rig = lossRig('multirotor', 'none', 'handset', ['modes' => ['none', 'stored'], 'set_by' => ['handset']], 'watching', $more);
    array_splice($rig['chain'], 1, 0, [$module]);

    return $rig;
}

it('counts a module that goes on sending by itself as a link that is never lost', function (?string $onSilence, string $outcome, array $codes) {
    $hop = askLoss(throughModule($onSilence))['hops'][0];
    expect($hop['outcome'])->toBe($outcome)->and(array_values(array_intersect(array_column($hop['findings'], 'code'), ['F9'])))->toBe($codes);
    if ($onSilence === 'holds') {
        expect($hop['severity'])->toBe('stop')->and($hop['because'])->toContain('Module goes on sending by itself');
    }
})->with([['holds', 'holds_last', []], ['stops', 'controller_failsafe', []], [null, 'controller_failsafe', ['F9']]]);

it('takes the throttle from the order where only auxiliaries are named', function (array $functions, string $outcome) {
    $rig = lossRig('multirotor', 'stored', 'button', ['modes' => ['stored'], 'set_by' => ['button']], 'watching');
    $rig['craft']['functions'] = array_map(fn (string $name, int $channel): array => ['function' => $name, 'channel' => $channel], array_keys($functions), $functions);
    $rig['settings']['failsafe'][0]['stored_us'] = [1500, 1500, 2000, 1500, 1000];
    expect(askLoss($rig)['hops'][0]['outcome'])->toBe($outcome);
})->with([
    'nothing named' => [[], 'full_throttle'],
    'auxiliaries only' => [['arm' => 5, 'mode' => 6], 'full_throttle'],
    'sticks without a throttle' => [['aileron' => 1, 'arm' => 5], 'motor_off_neutral'],
    'the throttle named' => [['throttle' => 3], 'full_throttle'],
]);

it('lets nobody call it passed while the motor would go on', function (string $mode, array $stored, bool $isHarmful) {
    $rig = DemoRigs::did(DemoRigs::get('oystercatcher'), new SetFailsafe(1, FailsafeMode::from($mode), SetBy::Button, $stored));
    $test = fn (bool $passed) => DemoRigs::did($rig, new TestFailsafe(1, $passed, 'seen', 'Wren'));
    if ($isHarmful) {
        expect(fn () => $test(true))->toThrow(fn (Linguator\Core\Document\DocumentError $error) => expect($error->path)->toBe('passed')->and($error->errorCode)->toBe('harmful'));
    } else {
        expect((new FailsafeReview($test(true)))->hops[0]->isTested())->toBeTrue();
    }
    expect((new FailsafeReview($test(false)))->hops[0]->isTested())->toBeFalse();
})->with([
    'it holds' => ['hold', [], true],
    'full throttle is stored' => ['stored', [1500, 1500, 2012, 1500], true],
    'the middle is stored, which is off in a boat' => ['stored', [1500, 1500, 1500, 1500], false],
]);

it('takes what a test shows for the answer where nobody can know, as long as the test holds', function () {
    $rig = lossRig('plane', 'none', 'handset', ['modes' => ['none'], 'set_by' => ['handset']], 'unsaid');
    unset($rig['settings']['failsafe'][0]['made_with']);
    $document = Linguator\Core\Rig\RigReader::whole(json_decode((string) json_encode($rig)), 'rig');
    $hop = fn (Linguator\Core\Rig\RigDocument $one) => (new FailsafeReview($one))->hops[0];
    expect($hop($document)->outcome()->value)->toBe('unknown');
    $told = fn (?Linguator\Core\Failsafe\Shown $shows, bool $passed = true) => DemoRigs::did($document, new TestFailsafe(1, $passed, '', 'Wren', shows: $shows));
    $stopped = $told(Linguator\Core\Failsafe\Shown::MotorStops);
    expect($hop($stopped)->outcome()->value)->toBe('motor_off_neutral')->and($hop($stopped)->isTested())->toBeTrue()->and($hop($stopped)->because())->toBe('The test showed it: the motor stopped, the surfaces went neutral.');
    $held = $told(Linguator\Core\Failsafe\Shown::Holds);
    expect($hop($held)->outcome()->value)->toBe('holds_last')->and($hop($held)->isTested())->toBeFalse()->and($hop($held)->severity()->value)->toBe('stop');
    expect(fn () => $told(null))->toThrow(fn (Linguator\Core\Document\DocumentError $error) => expect($error->path)->toBe('shows'));
    // What is set otherwise afterwards was not tested.
    $changed = DemoRigs::changed($stopped, RigPatch::of(['settings.order' => 'TAER']));
    expect($hop($changed)->outcome()->value)->toBe('unknown');
    // Where it follows from the settings, nobody is asked.
    expect(fn () => DemoRigs::did(DemoRigs::get('dunlin'), new TestFailsafe(1, true, '', '', shows: Linguator\Core\Failsafe\Shown::Acts)))->toThrow(fn (Linguator\Core\Document\DocumentError $error) => expect($error->path)->toBe('shows'));
});
