<?php

declare(strict_types=1);

use Linguator\Core\Diagnosis\Cause;
use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Diagnosis\Parts;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Tests\Golden;
use Linguator\Core\Verb\Verbs;

function diagnosed(array $question): array
{
    return json_decode((string) json_encode((new Verbs(new Schemas))->ask('diagnose', json_decode((string) json_encode($question + ['evidence' => []])))), true);
}

/** @return array<string, float> */
function sharesOf(array $answer): array
{
    return array_column($answer['causes'], 'p', 'cause');
}

it('answers as the worked cases say', function (string $verb, stdClass $case) {
    $out = get_object_vars($case->out);
    try {
        $answer = (new Verbs(new Schemas))->ask($verb, $case->in);
    } catch (DocumentError $error) {
        expect($error->path)->toBe($out['error_path'] ?? null);

        return;
    }
    expect($out)->not->toHaveKey('error_path');
    $answer = json_decode((string) json_encode($answer), true);
    [$top, $next] = [$answer['causes'][0], $answer['next_test']['test'] ?? null];
    foreach ($out as $key => $value) {
        match ($key) {
            'top' => expect((array) $value)->toContain($top['cause']),
            'top_p_max' => expect($top['p'])->toBeLessThanOrEqual($value),
            'done' => expect($answer['done'])->toBe($value),
            'next_present' => expect($next !== null)->toBe($value),
            'next_absent' => expect($value)->not->toContain($next),
        };
    }
})->with(fn () => Golden::cases('diagnose'));

it('knows every cause and test of the brief, with shares that sum to one and a sound outcome each', function () {
    $known = Knowledge::shipped();
    expect($known->causes)->toHaveCount(41)->and($known->tests)->toHaveCount(45);
    foreach ($known->causes as $cause) {
        expect($known->tests)->toHaveKey($cause->prove)->and(strlen($cause->fix))->toBeGreaterThan(10)->and($cause->weight)->toBeGreaterThan(0.0)
            // What proves it mended is a test that it touches.
            ->and(in_array($cause->prove, $cause->touches, true))->toBeTrue("$cause->id is proven by $cause->prove, which it does not touch");
        foreach ($known->tests as $test) {
            expect(array_sum($cause->likelihoods[$test->id]))->toEqualWithDelta(1.0, 1e-9);
            if (! in_array($test->id, $cause->touches, true)) {
                expect($cause->likelihood($test->id, $test->sound))->toEqualWithDelta(0.97, 1e-9);
            }
        }
    }
    $risky = array_keys(array_filter($known->tests, fn (FaultTest $test): bool => $test->risk !== null));
    sort($risky);
    expect($risky)->toBe(['arm_value_in_window', 'arming_block_reported', 'arms', 'loss_test', 'loss_test_first_hop', 'motor_start_resets_receiver']);
});

it('can tell every two causes apart by some test, but for those that are named here', function () {
    // How far two causes part in a test: half the sum of the differences (total variation).
    $part = fn (Cause $a, Cause $b, string $test): float => array_sum(array_map(fn (float $p, float $q): float => abs($p - $q), $a->likelihoods[$test], $b->likelihoods[$test])) / 2;
    $known = Knowledge::shipped();
    $alike = [];
    $causes = array_values($known->causes);
    foreach ($causes as $k => $a) {
        foreach (array_slice($causes, $k + 1) as $b) {
            if (max(array_map(fn (string $test): float => $part($a, $b, $test), array_keys($known->tests))) < 0.3) {
                $alike[] = "$a->id / $b->id";
            }
        }
    }
    expect($alike)->toBe([]);
});

it('goes neither by the order in which things were seen nor by what was told before it was told again', function () {
    $seen = [['test' => 'receiver_light', 'outcome' => 'searching'], ['test' => 'values_moving', 'outcome' => 'none'], ['test' => 'radio_in_use', 'outcome' => 'as_planned'], ['test' => 'protocol_setting', 'outcome' => 'other']];
    $one = sharesOf(diagnosed(['evidence' => $seen]));
    mt_srand(7);
    for ($k = 0; $k < 10; $k++) {
        shuffle($seen);
        $other = sharesOf(diagnosed(['evidence' => [['test' => 'values_moving', 'outcome' => 'all'], ...$seen]]));
        foreach ($one as $cause => $p) {
            expect($other[$cause])->toEqualWithDelta($p, 1e-12);
        }
    }
    expect(array_sum($one))->toEqualWithDelta(1.0, 1e-12)->and(array_key_first($one))->toBe('protocol_family_wrong');
});

it('offers no test that was made, that cannot be done, that is not allowed, or that this chain cannot have', function () {
    $diagnosis = fn (array $seen, ...$with): Diagnosis => new Diagnosis(Knowledge::shipped(), array_map(fn (array $one): Observation => new Observation(...$one), $seen), ...$with);
    mt_srand(11);
    $known = Knowledge::shipped();
    for ($round = 0; $round < 6; $round++) {
        $seen = [];
        while (($next = $diagnosis($seen, new Parts(false, false, false))->next()) !== null) {
            expect(array_column($seen, 0))->not->toContain($next->test)->and($next->risk)->toBeNull()->and($known->tests[$next->test]->needs)->toBeNull()->and($next->gainBits)->toBeGreaterThan(0.05);
            $outcomes = [...array_keys($known->tests[$next->test]->outcomes), Observation::CANNOT_DO];
            $seen[] = [$next->test, $outcomes[mt_rand(0, count($outcomes) - 1)]];
        }
        expect($diagnosis($seen, new Parts(false, false, false))->isDone())->toBeTrue();
    }
    expect(sharesOf(diagnosed(['parts' => ['module' => false, 'relay' => false]])))->not->toHaveKeys(['module_unpowered', 'bay_format_wrong', 'module_remap_unexpected', 'relay_first_hop_holds']);
    $harmless = array_values(array_filter($known->tests, fn (FaultTest $test): bool => $test->risk === null));
    $asked = fn (bool $risk): ?string => diagnosed(['allow_risk' => $risk, 'evidence' => array_map(fn (FaultTest $test): array => ['test' => $test->id, 'outcome' => 'cannot_do'], $harmless)])['next_test']['risk'] ?? null;
    expect($asked(false))->toBeNull()->and($asked(true))->toStartWith('Propellers off');
});

it('asks for the most bits a minute', function () {
    $diagnosis = new Diagnosis(Knowledge::shipped(), [new Observation('values_moving', 'none'), new Observation('receiver_light', 'steady')]);
    $next = $diagnosis->next();
    foreach (Knowledge::shipped()->tests as $test) {
        if ($test->risk === null && ! in_array($test->id, ['values_moving', 'receiver_light'], true)) {
            expect($diagnosis->gainOf($test) / $test->minutes)->toBeLessThanOrEqual($next->gainBits / $next->minutes + 1e-12);
        }
        expect($diagnosis->gainOf($test))->toBeGreaterThan(-1e-12);
    }
});

it('answers tests from what was measured, to the edge, and lets it go before what was told', function (array $measured, string $test, ?string $outcome) {
    $told = ['throttle_lowest' => 'below_threshold', 'rest_values' => 'centred', 'end_values' => 'full', 'arm_value_in_window' => 'yes', 'supply_at_receiver' => 'ok'];
    $by = sharesOf(diagnosed(['evidence' => [['test' => $test, 'outcome' => $told[$test]]], 'measured' => $measured, 'allow_risk' => true]));
    expect($by)->toBe(sharesOf(diagnosed(['evidence' => [['test' => $test, 'outcome' => $outcome ?? $told[$test]]], 'allow_risk' => true])));
})->with([
    'at the threshold' => [['throttle_low_us' => 1060, 'low_threshold_us' => 1060], 'throttle_lowest', 'above_threshold'],
    'half a group' => [['throttle_low_us' => 1085], 'throttle_lowest', null],
    'three beside' => [['centre_us' => 1503], 'rest_values', 'centred'],
    'four beside' => [['centre_us' => 1496], 'rest_values', 'slightly_off'],
    'fifty beside' => [['centre_us' => 1550], 'rest_values', 'slightly_off'],
    'farther' => [['centre_us' => 1449], 'rest_values', 'far_off'],
    'full to the edge' => [['lo_us' => 1020, 'hi_us' => 1980], 'end_values', 'full'],
    'short above' => [['lo_us' => 1000, 'hi_us' => 1979], 'end_values', 'short'],
    'over below' => [['lo_us' => 979, 'hi_us' => 1900], 'end_values', 'over'],
    'just not over' => [['lo_us' => 980, 'hi_us' => 2020], 'end_values', 'full'],
    'on the edge of the window' => [['arm_us' => 1700, 'arm_lo_us' => 1700, 'arm_hi_us' => 2100], 'arm_value_in_window', 'yes'],
    'beside the window' => [['arm_us' => 1699, 'arm_lo_us' => 1700, 'arm_hi_us' => 2100], 'arm_value_in_window', 'no'],
    'no supply' => [['supply_v' => 0.4, 'supply_min_v' => 4], 'supply_at_receiver', 'none'],
    'half a volt' => [['supply_v' => 0.5, 'supply_min_v' => 4], 'supply_at_receiver', 'low'],
    'enough' => [['supply_v' => 4, 'supply_min_v' => 4], 'supply_at_receiver', 'ok'],
]);

it('goes on after a mend, names the mend when it is sure, and says what speaks for it', function () {
    $seen = [['test' => 'receiver_light', 'outcome' => 'off'], ['test' => 'supply_at_receiver', 'outcome' => 'none'], ['test' => 'plug_orientation', 'outcome' => 'wrong']];
    $sure = diagnosed(['evidence' => $seen]);
    expect($sure['done'])->toBeTrue()->and($sure['fix'])->toContain('turn or move the plug')->and($sure['prove_with'])->toBe('receiver_light')
        ->and($sure['causes'][0]['because'])->toBe(["What does the light of the craft's receiver show? It is off.", 'Which voltage is at the receiver? None.', 'Do all plugs sit the right way round, each on its own pins? One sits wrong.'])
        ->and(diagnosed([]))->not->toHaveKey('fix');
    // What speaks against a cause is not said to speak for it.
    $against = diagnosed(['evidence' => [['test' => 'supply_at_receiver', 'outcome' => 'ok'], ['test' => 'receiver_light', 'outcome' => 'off']]]);
    $reasons = array_column($against['causes'], 'because', 'cause');
    expect($reasons['no_receiver_power'])->toBe(["What does the light of the craft's receiver show? It is off."])->and($reasons['trim_bumped'])->toBe([]);
    $mended = sharesOf(diagnosed(['fixed' => ['order_mismatch']]));
    $before = sharesOf(diagnosed([]));
    expect($mended['order_mismatch'] / $mended['centre_off'])->toEqualWithDelta($before['order_mismatch'] / $before['centre_off'] / 10, 1e-12);
    expect(fn () => diagnosed(['fixed' => ['gremlins']]))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('fixed.0'));
});

it('refuses knowledge that cannot be meant, and says where', function (array $test, array $cause, string $message) {
    $node = fn (array $entry): Node => new Node(json_decode((string) json_encode($entry)));
    $test += ['id' => 'light', 'asks' => 'Is it on?', 'how' => 'Look.', 'minutes' => 1, 'sound' => 'on', 'outcomes' => ['on' => 'on', 'off' => 'off']];
    $cause += ['id' => 'dark', 'says' => 'It is dark.', 'weight' => 1, 'fix' => 'Light it.', 'prove' => 'light', 'shows' => ['light' => 'off']];
    expect(fn () => Knowledge::of([$node($test)], [$node($cause)]))->toThrow(DocumentError::class, $message);
})->with([
    'a sound outcome that is none' => [['sound' => 'steady'], [], 'The sound outcome of light is none of its outcomes.'],
    'one outcome' => [['outcomes' => ['on' => 'on']], [], 'The sound outcome of light is none of its outcomes.'],
    'a test that is none' => [[], ['shows' => ['lamp' => 'off']], 'dark names the test lamp, which there is not.'],
    'a proof that is none' => [[], ['prove' => 'lamp'], 'dark names the test lamp, which there is not.'],
    'an outcome that is none' => [[], ['shows' => ['light' => 'green']], 'dark shows "green" in light, which has no such outcome.'],
    'a share of nothing' => [[], ['shows' => ['light' => ['off' => 0]]], 'dark shows "off" in light, which has no such outcome.'],
]);
