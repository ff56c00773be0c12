<?php

declare(strict_types=1);

use Linguator\Core\Bench\CaptureSymptoms;
use Linguator\Core\Bench\FoundFault;
use Linguator\Core\Bench\Intents;
use Linguator\Core\Bench\KnownFaults;
use Linguator\Core\Bench\Mend;
use Linguator\Core\Bench\RigMends;
use Linguator\Core\Bench\RigSymptoms;
use Linguator\Core\Bench\Symptom;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Finding\Code;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Signal\CaptureDesk;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;
use Linguator\Core\Tests\DemoRigs;

/** @return array<string, string> */
function symptoms(RigDocument $rig): array
{
    return array_column(array_map(static fn (Symptom $one): array => [$one->test, $one->outcome], (new RigSymptoms($rig))->all()), 1, 0);
}

it('answers by itself what settings, readings, attempts and tests of a rig answer', function (string $rig, array $expected) {
    expect(symptoms(DemoRigs::get($rig)))->toBe($expected);
})->with([
    // What the servos stand is full travel for them.
    'a glider that is ready' => ['avocet', ['stick_moves_wrong_value' => 'no', 'end_values' => 'full', 'rest_values' => 'centred', 'bind_at_two_metres' => 'binds', 'loss_test' => 'as_expected']],
    'a six-rotor that will not arm' => ['dunlin', ['stick_moves_wrong_value' => 'no', 'end_values' => 'short', 'rest_values' => 'slightly_off', 'throttle_lowest' => 'above_threshold', 'bind_at_two_metres' => 'binds']],
    'servos driven too far' => ['sanderling', ['end_values' => 'over', 'rest_values' => 'centred', 'bind_at_two_metres' => 'binds']],
    'nothing read yet' => ['mudlark', ['bind_at_two_metres' => 'binds']],
]);

it('says what changed settings mean for the search', function (string $rig, array $set, string $test, ?string $outcome) {
    expect(symptoms(DemoRigs::changed(DemoRigs::get($rig), RigPatch::of($set)))[$test] ?? null)->toBe($outcome);
})->with([
    // Right on paper is nothing that was seen: only a proof that holds says no.
    'a proof that went stale' => ['avocet', ['settings.order' => 'AETR', 'settings.remap' => (object) ['brack-m4' => true], 'checks' => []], 'stick_moves_wrong_value', null],
    'levels that were read' => ['dunlin', ['settings.switches' => [(object) ['function' => 'arm', 'channel' => 5, 'switch' => 'L1', 'levels_us' => [990, 2010]]]], 'arm_value_in_window', 'yes'],
    'a throttle read with other ends' => ['dunlin', ['settings.channels' => [(object) ['channel' => 3, 'lo_pct' => 118.5, 'hi_pct' => 97.4, 'subtrim' => 0]]], 'throttle_lowest', null],
    'another order' => ['dunlin', ['settings.order' => 'TAER'], 'stick_moves_wrong_value', 'yes'],
    'a window that is missed' => ['dunlin', ['settings.windows' => [(object) ['name' => 'arm', 'channel' => 5, 'lo' => 1300, 'hi' => 1700]]], 'arm_value_in_window', 'no'],
    'a negative weight' => ['avocet', ['settings.channels' => [(object) ['channel' => 1, 'weight' => -100]]], 'mix_weights', 'negative'],
    'readings of other settings' => ['avocet', ['settings.channels' => []], 'end_values', null],
    'a failsafe that went stale' => ['avocet', ['settings.receiver_number' => 9], 'loss_test', null],
    'an attempt too near' => ['avocet', ['attempts' => [(object) ['at' => '2026-11-01T10:00:00Z', 'hop' => 1, 'variant' => 'tarn-b', 'channel_mode' => 'as it is', 'bound' => false, 'distance_m' => 0.5]]], 'bind_at_two_metres', null],
    'an attempt that failed' => ['avocet', ['attempts' => [(object) ['at' => '2026-11-01T10:00:00Z', 'hop' => 1, 'variant' => 'tarn-b', 'channel_mode' => 'as it is', 'bound' => false, 'distance_m' => 2]]], 'bind_at_two_metres', 'fails'],
    'no chain' => ['avocet', ['chain' => []], 'stick_moves_wrong_value', null],
]);

it('knows which parts the chain has, and says where each symptom comes from', function () {
    $parts = fn (string $rig): array => array_values(get_object_vars((new RigSymptoms(DemoRigs::get($rig)))->parts()));
    expect([$parts('avocet'), $parts('dunlin'), $parts('oystercatcher')])->toBe([[true, false, false], [false, false, true], [true, true, false]]);
    $from = array_column(array_map(static fn (Symptom $one): array => [$one->test, $one->from], (new RigSymptoms(DemoRigs::get('dunlin')))->all()), 1, 0);
    expect($from['throttle_lowest'])->toBe('Read: throttle down at 1085 µs; the low threshold is 1060 µs.')
        ->and($from['rest_values'])->toBe('Read: rudder rests at 1518 µs, aimed at 1500 µs.');
});

it('finds with what the rig knows alone why the six-rotor will not arm', function () {
    $rig = new RigSymptoms(DemoRigs::get('dunlin'));
    $seen = array_map(static fn (Symptom $one): Observation => new Observation($one->test, $one->outcome), $rig->all());
    $suspects = (new Diagnosis(Knowledge::shipped(), [...$seen, new Observation('arms', 'no')], $rig->parts(), true))->suspects();
    expect(array_slice(array_column(array_map(static fn ($one): array => [$one->cause], $suspects), 0), 0, 2))->toContain('throttle_low_above_threshold');
});

it('tells screens of every cause and test in words, as their schema says', function () {
    $told = json_decode((string) json_encode(new KnownFaults));
    (new Schemas)->check((object) ['faults' => $told], 'screens.schema.json');
    $symptoms = new RigSymptoms(DemoRigs::get('oystercatcher'));
    (new Schemas)->check((object) ['symptoms' => json_decode((string) json_encode(Plain::of($symptoms->shown())))], 'screens.schema.json');
    expect(count($told->causes))->toBe(42)->and(array_filter($told->tests, static fn (stdClass $test): bool => $test->how === '' || $test->asks === ''))->toBe([]);
});

it('knows no fault by another name', fn () => expect(fn () => DemoRigs::did(DemoRigs::get('dunlin'), new FoundFault('gremlins')))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('cause')));

it('offers the setting that mends a fault, as its step would make it', function () {
    $mends = fn (RigDocument $rig): array => array_column(array_map(fn (Mend $mend): array => [$mend->cause, $mend], (new RigMends($rig))->all()), 1, 0);
    $dunlin = DemoRigs::get('dunlin');
    $low = $mends($dunlin)['throttle_low_above_threshold'];
    expect($low->intent)->toBe('take-settings')->and($low->title)->toContain('throttle');
    $wrong = DemoRigs::changed($dunlin, RigPatch::of(['settings.controller_order' => 'TAER']));
    expect($mends($wrong)['order_mismatch']->intent)->toBe('mend-order');
    // What is offered can be done, and is offered no more.
    foreach ((new RigMends($wrong))->all() as $mend) {
        $after = DemoRigs::did($wrong, (new Intents(new Schemas))->read($mend->intent, $mend->told));
        expect(array_filter((new RigMends($after))->all(), fn (Mend $one): bool => $one->title === $mend->title))->toBe([]);
    }
    $known = json_decode((string) json_encode(Plain::of(new KnownFaults)));
    // Every step that is named is one of a rig.
    expect(array_diff(array_filter(array_column($known->causes, 'step')), ['path', 'wiring', 'order', 'bind', 'travel', 'switches', 'failsafe', 'handset', 'timing']))->toBe([]);
    foreach ($known->findings as $code => $evidence) {
        $test = Knowledge::shipped()->tests[$evidence->test];
        expect($test->may($evidence->outcome))->toBeTrue()->and(Code::tryFrom($code))->not->toBeNull();
    }
});

it('takes a capture at the receiver for what it shows of the planned wire', function (string $rig, array $options, string $outcome) {
    mt_srand(1);
    $path = (string) tempnam(sys_get_temp_dir(), 'cap');
    $stream = fopen($path, 'wb+');
    foreach (Recording::of(StandInOptions::of((object) ['seconds' => 1, ...$options], new Schemas), CaptureKind::Vcd) as $chunk) {
        fwrite($stream, $chunk);
    }
    rewind($stream);
    $decoding = (new CaptureDesk(Formats::shipped(), new Schemas))->decode(new Source($stream), new stdClass);
    $symptoms = (new CaptureSymptoms(DemoRigs::get($rig)))->of($decoding, 'probe 1');
    unlink($path);
    expect([$symptoms[0]->test, $symptoms[0]->outcome])->toBe(['capture_at_receiver_output', $outcome])->and($symptoms[0]->from)->toContain('probe 1');
})->with([
    ['dunlin', ['format' => 's100i'], 'as_planned'],
    ['dunlin', ['format' => 's100i', 'inverted' => true], 'inverted'],
    ['dunlin', ['format' => 's420c'], 'other_format'],
    ['mudlark', ['format' => 'ppm'], 'as_planned'],
]);

it('rules out of a real craft what its parts rule out, and nothing because of what is on record or missing there', function () {
    $asked = function (string $rig): array {
        $symptoms = new RigSymptoms(DemoRigs::get($rig));

        return array_column((new Diagnosis(Knowledge::shipped(), [], $symptoms->parts(), true))->suspects(), 'cause');
    };
    $all = [...array_keys(Knowledge::shipped()->causes), Knowledge::SOMETHING_ELSE];
    sort($all);
    [$withController, $servosOnly] = [$asked('dunlin'), $asked('oystercatcher')];
    // No window and no threshold need be written down for a controller to refuse; a receiver that holds by its record may hold.
    expect(array_values(array_diff($all, $withController)))->toBe(['bay_format_wrong', 'module_remap_unexpected', 'module_unpowered', 'relay_first_hop_holds'])
        ->and(array_values(array_diff($all, $servosOnly)))->toBe(['arm_interlock', 'arm_window_missed', 'controller_expects_other_format', 'wrong_input_port'])
        ->and($servosOnly)->toContain('failsafe_holds', 'region_mismatch', 'relay_first_hop_holds');
});
