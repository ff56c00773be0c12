<?php

declare(strict_types=1);

use Linguator\Core\Document\Schemas;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\Flow;
use Linguator\Core\Failsafe\InputLoss;
use Linguator\Core\Failsafe\LossStage;
use Linguator\Core\Failsafe\LossWay;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Failsafe\SafeValues;
use Linguator\Core\Failsafe\SetBy;
use Linguator\Core\Proof\Cut;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Failsafe\SetFailsafe;
use Linguator\Core\Steps\Failsafe\TestFailsafe;
use Linguator\Core\Steps\Travel\KeepReading;
use Linguator\Core\Steps\Travel\TakeSettings;
use Linguator\Core\Tests\BenchRigs;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Travel\Reading;
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

/** What is suggested to be stored on a hop, as the list a receiver keeps. */
function suggested(Linguator\Core\Rig\RigDocument $rig, int $hop): array
{
    $stored = [];
    foreach (SafeValues::of($rig, $hop)->all as $value) {
        $stored[$value->channel - 1] = $value->us;
    }

    return array_map(fn (int $k): ?float => $stored[$k] ?? null, range(0, max([0, ...array_keys($stored)])));
}

it('suggests what, when it is stored, gives what was promised', function () {
    $rigs = array_map(DemoRigs::get(...), ['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling']);
    $rigs[] = comesHome();
    foreach (Linguator\Core\Tests\Situations::all() as $situation) {
        $rigs[] = Linguator\Core\Tests\Situations::rig($situation);
    }
    $outcomes = [];
    foreach ($rigs as $rig) {
        foreach ((new FailsafeReview($rig))->hops as $hop) {
            $values = suggested($rig, $hop->number);
            if (! in_array(FailsafeMode::Stored, $hop->modes() ?? FailsafeMode::cases(), true) || array_filter($values) === []) {
                continue;
            }
            $after = (new FailsafeReview(DemoRigs::did($rig, new SetFailsafe($hop->number, FailsafeMode::Stored, null, $values))))->hops[$hop->number - 1];
            if ($after->bySettings() === Outcome::Unknown || str_contains($after->because(), 'goes on sending by itself')) {
                continue;
            }
            $promised = $rig->holdsPosition() && array_filter($rig->windows(), fn ($window) => $window->window->name === 'return') !== [] ? 'return_home' : 'motor_off_neutral';
            expect($after->bySettings()->value)->toBe($promised, $rig->name())
                ->and(array_values(array_intersect(array_map(fn ($finding) => $finding->code->value, $after->findings()->all), ['F1', 'F2', 'F3', 'F4', 'F5'])))->toBe([], $rig->name());
            $outcomes[] = $promised;
        }
    }
    expect(array_count_values($outcomes))->toHaveKeys(['return_home', 'motor_off_neutral'])->and(count($outcomes))->toBeGreaterThan(8);
});

/** A craft that holds its position, with its mode on a switch of three positions, the last of which is inside the return window. */
function comesHome(): Linguator\Core\Rig\RigDocument
{
    return DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of([
        'settings.windows' => [(object) ['name' => 'return', 'channel' => 6, 'lo' => 1800, 'hi' => 2100, 'wanted' => [3]], (object) ['name' => 'arm', 'channel' => 5, 'lo' => 1700, 'hi' => 2100, 'wanted' => [2]]],
    ]));
}

it('brings a craft home that holds its position: throttle near hover, mode in its return window, the instruction from exactly these values', function () {
    $rig = comesHome();
    $values = array_column(SafeValues::of($rig, 1)->all, 'us', 'function');
    expect($values['mode'])->toBe(2012.0)->and($values['arm'])->toBe(2012.0)->and($values['throttle'])->toBeGreaterThan(1400.0)->toBeLessThan(1600.0);
    $hop = DemoRigs::review($rig)['failsafe']['hops'][0];
    $button = array_column($hop['ways'], 'says', 'way')['button'];
    expect($button)->toBe(sprintf('Hold the controls as they are to be on loss (throttle at half (%g µs), arm in position 2 (2012 µs), mode in position 3 (2012 µs), gain in position 1 (988 µs), everything else in its middle), then press the button of Weft R16i until its light answers.', $values['throttle']));
    expect($hop['recommended'])->toBe('none')->and($hop['recommended_why'])->toBe('Without pulses Ruddle F6 notices at once, and comes home or lands as it is set to.');
    // Armed on its way home is no fault of the arm window; disarmed it would fall.
    $stored = DemoRigs::did($rig, new SetFailsafe(1, FailsafeMode::Stored, SetBy::Button, suggested($rig, 1)));
    expect(array_map(fn ($finding) => $finding->code->value, (new Linguator\Core\Steps\Switches\SwitchReview($stored))->findings()->all))->not->toContain('S3');
});

it('has a throttle held safely that nobody told, and names none where there is none', function (string $craft, ?array $functions, string $sentence, array $channels) {
    $rig = lossRig($craft, null, null, ['modes' => ['stored']], 'servos');
    unset($rig['craft']['functions']);
    if ($functions !== null) {
        $rig['craft']['functions'] = array_map(fn (string $name, int $channel): array => ['function' => $name, 'channel' => $channel], array_keys($functions), $functions);
    }
    $values = SafeValues::of(Linguator\Core\Rig\RigReader::whole(json_decode((string) json_encode($rig)), 'rig'), 1);
    expect($values->sentence())->toBe($sentence)->and(array_column($values->all, 'channel', 'function'))->toBe($channels);
})->with([
    'a plane' => ['plane', null, 'throttle low (1000 µs), everything else in its middle', ['throttle' => 3]],
    'a boat: off in the middle' => ['boat', null, 'throttle in the middle (1500 µs), everything else in its middle', ['throttle' => 3]],
    'auxiliaries alone' => ['boat', ['lamp' => 5], 'throttle in the middle (1500 µs), everything else in its middle', ['throttle' => 3, 'lamp' => 5]],
    'no motor' => ['glider', ['aileron' => 1, 'elevator' => 2], 'everything in its middle', ['aileron' => 1, 'elevator' => 2]],
]);

it('says the reason of the mode that is recommended, not of another', function () {
    $why = fn (array $modes, string $end, string $craft = 'plane'): string => (new FailsafeReview(Linguator\Core\Rig\RigReader::whole(json_decode((string) json_encode(lossRig($craft, null, null, ['modes' => $modes], $end))), 'rig')))->why((new FailsafeReview(Linguator\Core\Rig\RigReader::whole(json_decode((string) json_encode(lossRig($craft, null, null, ['modes' => $modes], $end))), 'rig')))->hops[0]);
    expect($why(['stored'], 'watching', 'multirotor'))->toStartWith('Stored: throttle low')
        ->and($why(['none'], 'watching', 'multirotor'))->toContain('notices at once')
        ->and($why(['none'], 'servos'))->toStartWith('It can do nothing else')
        ->and($why(['flag'], 'watching'))->toContain('sees the flag');
});

it('is not stale by a first reading, nor by another one, but by another setting', function () {
    $rig = DemoRigs::did(DemoRigs::get('mudlark'), new SetFailsafe(1, FailsafeMode::Stored, null, suggested(DemoRigs::get('mudlark'), 1)));
    $hop = fn (Linguator\Core\Rig\RigDocument $one): array => (new FailsafeReview($one))->hops[0]->setReasons();
    $read = DemoRigs::did($rig, new KeepReading(3, Reading::of(985.0, 1498.0, 2010.0), null, 'on a servo tester', ''));
    expect($hop($rig))->toBe([])->and($hop($read))->toBe([]);
    expect($hop(DemoRigs::did($read, new KeepReading(3, Reading::of(990.0, 1503.0, 2014.0), null, 'on a servo tester', ''))))->toBe([]);
    expect($hop(DemoRigs::did($read, new TakeSettings([3]))))->not->toBe([]);
});

it('asks for binding again where what a receiver stored while it was bound has gone stale', function () {
    $rig = DemoRigs::did(DemoRigs::get('avocet'), new Linguator\Core\Steps\Travel\ReverseChannel(1));
    $bind = (new Linguator\Core\Steps\Bind\BindReview($rig));
    expect($bind->standing()->note)->toStartWith('Bind again: the failsafe stored at bind is stale: a direction changed')
        ->and($bind->isBound())->toBeFalse()
        ->and(array_column(DemoRigs::readiness($rig)->redo(), 'because')[0])->toContain('the failsafe stored at bind is stale');
    // Where a button sets it, binding has nothing to do with it.
    $button = DemoRigs::did(DemoRigs::get('oystercatcher'), new Linguator\Core\Steps\Travel\ReverseChannel(3));
    expect((new Linguator\Core\Steps\Bind\BindReview($button))->isBound())->toBeTrue();
});

it('tests a module with its lead pulled where a lead can come off or nobody knows what it does, and takes what that shows', function () {
    $document = fn (?string $onSilence): Linguator\Core\Rig\RigDocument => Linguator\Core\Rig\RigReader::whole(json_decode((string) json_encode(throughModule($onSilence))), 'rig');
    $hop = fn (Linguator\Core\Rig\RigDocument $rig) => (new FailsafeReview($rig))->hops[0];
    $unknown = $document(null);
    expect($hop($unknown)->cuts())->toBe([Cut::Link, Cut::Lead]);
    $off = DemoRigs::did($unknown, new TestFailsafe(1, true, 'it landed', 'Wren'));
    expect($hop($off)->isTested())->toBeFalse()->and(array_column($hop($off)->findings()->all, 'message'))->toContain('Never tested with the lead of Module pulled.');
    expect(fn () => DemoRigs::did($off, new TestFailsafe(1, true, 'it landed', 'Wren', cut: Cut::Lead)))->toThrow(fn (Linguator\Core\Document\DocumentError $error) => expect($error->path)->toBe('shows'));
    $well = DemoRigs::did($off, new TestFailsafe(1, true, '', 'Wren', shows: Linguator\Core\Failsafe\Shown::Acts, cut: Cut::Lead));
    expect($hop($well)->isTested())->toBeTrue()->and(array_column($hop($well)->findings()->all, 'code'))->not->toContain(Linguator\Core\Finding\Code::F9);
    // It went on: the link is never lost, whatever else is set.
    $on = DemoRigs::did($off, new TestFailsafe(1, true, '', 'Wren', shows: Linguator\Core\Failsafe\Shown::Holds, cut: Cut::Lead));
    expect($hop($on)->outcome())->toBe(Outcome::HoldsLast)->and($hop($on)->severity()->value)->toBe('stop')->and($hop($on)->isTested())->toBeFalse();
    // In the bay, with a card that says it stops, there is no lead to come off.
    expect($hop(DemoRigs::get('avocet'))->cuts())->toBe([Cut::Link]);
    expect(fn () => DemoRigs::did(DemoRigs::get('avocet'), new TestFailsafe(1, true, 'x', 'Wren', cut: Cut::Lead)))->toThrow(fn (Linguator\Core\Document\DocumentError $error) => expect($error->path)->toBe('cut'));
});

it('says that the hop behind decides what a test of the first shows', function () {
    $shelf = DemoRigs::get('oystercatcher');
    $chain = json_decode((string) json_encode($shelf->document->chain));
    foreach ($chain as $card) {
        if ($card->kind === 'module') {
            $card->on_input_loss = 'stops';
        }
    }
    $rig = DemoRigs::changed($shelf, RigPatch::of(['chain' => $chain]));
    $rig = DemoRigs::did(DemoRigs::did($rig, new SetFailsafe(1, FailsafeMode::None, SetBy::Button)), new SetFailsafe(2, FailsafeMode::Stored, null, [1500, 1500, 2012, 1500]));
    $tests = array_map(fn (array $hop): array => $hop['tests'][0], DemoRigs::review($rig)['failsafe']['hops']);
    expect($tests[0]['may_pass'])->toBeFalse()->and($tests[0]['mend_first'])->toBe('Mend hop 2 first: it decides what is seen here.')->and($tests[1]['mend_first'])->toBe('Mend it first.');
    // And what its reader does is on its card.
    expect((new FailsafeReview($rig))->hops[0]->because())->toEndWith('stops too, so the next link is lost as well.');
});

it('draws the way of a loss to the very outcome that is judged, with a silent link or one that goes on by itself in front', function (string $name) {
    $rig = BenchRigs::get($name);
    $review = new FailsafeReview($rig);
    foreach ($review->hops as $hop) {
        $way = (new LossWay($rig, $review))->of($hop);
        $last = $way[count($way) - 1];
        expect($way[0]->box)->toBe($hop->sender()?->name())->and($way[1]->box)->toBe($hop->receiver()->name)
            ->and($last->flow)->toBeNull()->and($last->says)->toBe($hop->outcome()->sentence())->and($last->isHarmful)->toBe($hop->outcome()->isHarmful());
        // Where old values reach the craft it goes on with them.
        $before = $way[count($way) - 2]->flow;
        if ($before === Flow::Old) {
            expect($hop->outcome())->toBe(Outcome::HoldsLast);
        }
        if ($before === Flow::Silent) {
            expect($hop->outcome())->not->toBe(Outcome::MotorOffNeutral);
        }
    }
})->with(['dunlin', 'avocet', 'mudlark', 'oystercatcher', 'sanderling', '20-relay']);

it('lets a relay go on with what its first receiver holds, or ends it where its module stops too', function () {
    $rig = BenchRigs::get('oystercatcher');
    $review = new FailsafeReview($rig);
    expect(array_map(static fn (LossStage $stage): ?string => $stage->flow?->value, (new LossWay($rig, $review))->of($review->hop(1))))->toBe(['silent', 'old', 'old', 'old', null]);
    foreach ([[Flow::Silent, InputLoss::Stops, Flow::Silent], [Flow::Silent, InputLoss::Holds, Flow::Old], [Flow::Silent, null, Flow::Unknown], [Flow::Stored, InputLoss::Holds, Flow::Stored], [Flow::Old, InputLoss::Stops, Flow::Old]] as [$in, $loss, $out]) {
        expect($in->behind($loss))->toBe($out);
    }
});
