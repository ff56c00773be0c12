<?php

declare(strict_types=1);

use Eris\Generators;
use Eris\TestTrait;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\HiddenReversals;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ResidueExplanation;
use Linguator\Core\Travel\ServoRange;
use Linguator\Core\Travel\SubtrimModel;
use Linguator\Core\Travel\TravelSolver;
use Linguator\Core\Verb\Verbs;

uses(TestTrait::class);

function handsetWith(SubtrimModel $model, float $step = 0.1, float $trimStep = 1.0): HandsetTravel
{
    return new HandsetTravel(200.0, $step, $model, $trimStep, 1.0);
}

/** A stick as it truly is: half throws and centre that nobody knows. */
function stick(HandsetTravel $handset, int $low, int $high, int $centre): Gimbal
{
    return Gimbal::seen($handset, Reading::of($centre - $low, $centre, $centre + $high), new ChannelSettings(100, 100, 0));
}

function anyStick(): array
{
    return [Generators::elements(...SubtrimModel::cases()), Generators::choose(420, 560), Generators::choose(420, 560), Generators::choose(1470, 1530)];
}

it('sees the same stick whatever it is set to', function () {
    $this->forAll(...anyStick(), ...[Generators::choose(80, 120), Generators::choose(80, 120), Generators::choose(-15, 15)])
        ->then(function (SubtrimModel $model, int $low, int $high, int $centre, int $p, int $q, int $trim) {
            $truth = stick(handsetWith($model), $low, $high, $centre);
            $set = new ChannelSettings($p, $q, $trim);
            $seen = Gimbal::seen(handsetWith($model), $truth->predict($set), $set);
            expect($seen->centre)->toEqualWithDelta($truth->centre, 1e-6)
                ->and($seen->lowSide)->toEqualWithDelta($truth->lowSide, 1e-6)->and($seen->highSide)->toEqualWithDelta($truth->highSide, 1e-6);
        });
});

it('hits the target within half a step with one pass, whatever was set before', function () {
    $this->forAll(...anyStick(), ...[Generators::choose(80, 120), Generators::choose(-15, 15), Generators::elements(0.1, 1.0), Generators::bool()])
        ->then(function (SubtrimModel $model, int $low, int $high, int $centre, int $p, int $trim, float $step, bool $reverse) {
            $handset = handsetWith($model, $step);
            $truth = stick($handset, $low, $high, $centre);
            $now = new ChannelSettings($p, $p, $trim);
            $target = Reading::of(1000, 1500, 2000);
            $solution = (new TravelSolver($handset))->solve(Gimbal::seen($handset, $truth->predict($now), $now), $target, $now, true, $reverse);
            $real = ($reverse ? $truth->reversed() : $truth)->predict($solution->settings);

            expect($solution->limited)->toBe([])->and($solution->predicted->distanceTo($real))->toBeLessThan(1e-6);
            // Half a step of the larger side; a sub-trim before scaling moves the ends by up to as much again.
            $half = max($low, $high) * $step / 200 * 1.2;
            $trimHalf = $model === SubtrimModel::Before ? max($low, $high) * 1.2 / 200 : 0.5;
            expect(abs($real->lo - 1000))->toBeLessThanOrEqual($half + 1e-6)->and(abs($real->hi - 2000))->toBeLessThanOrEqual($half + 1e-6)
                ->and(abs($real->mid - 1500))->toBeLessThanOrEqual($trimHalf + $half + 1e-6);
        });
});

it('finds the sub-trim model that made two readings', function () {
    $this->forAll(...anyStick(), ...[Generators::choose(70, 90), Generators::elements(-30, -25, 25, 30)])
        ->then(function (SubtrimModel $model, int $low, int $high, int $centre, int $p, int $trim) {
            $handset = handsetWith($model);
            $truth = stick($handset, $low, $high, $centre);
            [$first, $then] = [new ChannelSettings(100, 100, 5), new ChannelSettings($p, $p, $trim)];
            $explained = ResidueExplanation::of($handset->with(SubtrimModel::After), $truth->predict($first), $first, $truth->predict($then), $then);
            expect($explained?->model)->toBe($model === SubtrimModel::After ? null : $model);
        });
});

it('does not guess a model from readings that all models explain', function () {
    $handset = handsetWith(SubtrimModel::After);
    [$first, $then] = [new ChannelSettings(100, 100, 0), new ChannelSettings(90, 90, 0)];
    $truth = stick($handset, 500, 500, 1500);
    expect(ResidueExplanation::of($handset, $truth->predict($first), $first, $truth->predict($then), $then))->toBeNull();
});

it('holds an end at the limit and says what is reached and what to do', function () {
    $answer = (new Verbs(new Schemas))->ask('tune', json_decode('{"handset":{"max_pct":100,"step_pct":1,"subtrim_model":"pivot","subtrim_step":1},"target":{"lo":1000,"mid":1500,"hi":2000},
        "channels":[{"name":"rudder","settings":{"lo_pct":100,"hi_pct":100,"subtrim":0},"measured":{"lo":1100,"mid":1500,"hi":2000}}]}'));
    $finding = $answer['channels'][0]['findings'][0];
    expect($finding['code'])->toBe('T8')->and($finding['severity'])->toBe('fix')->and($finding['found'])->toContain('1100')->and($finding['change'])->toContain('xtended limits');
});

it('refuses readings a handset cannot give', function (string $json, string $path) {
    expect(fn () => (new Verbs(new Schemas))->askText('tune', $json))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with(function () {
    $question = fn (array $channel, array $more = []): string => json_encode($more + ['handset' => ['max_pct' => 150, 'step_pct' => 1, 'subtrim_model' => 'before', 'subtrim_step' => 1], 'target' => ['lo' => 1000, 'mid' => 1500, 'hi' => 2000],
        'channels' => [$channel + ['name' => 'a', 'settings' => ['lo_pct' => 100, 'hi_pct' => 100, 'subtrim' => 0], 'measured' => ['lo' => 1000, 'mid' => 1500, 'hi' => 2000]]]]);

    return [
        'equal readings, a dead channel' => [$question(['measured' => ['lo' => 1500, 'mid' => 1500, 'hi' => 1500]]), 'channels.0.measured.mid'],
        'low above high' => [$question(['measured' => ['lo' => 2000, 'mid' => 1500, 'hi' => 1000]]), 'channels.0.measured.mid'],
        'a sub-trim of the whole stick' => [$question(['settings' => ['lo_pct' => 100, 'hi_pct' => 100, 'subtrim' => 100]]), 'channels.0.settings.subtrim'],
        'a target upside down' => [$question([], ['target' => ['lo' => 1500, 'mid' => 1000, 'hi' => 2000]]), 'target.mid'],
        'text where a number belongs' => [str_replace('"lo_pct":100', '"lo_pct":"NaN"', $question([])), 'channels.0.settings.lo_pct'],
        'ten thousand channels' => [json_encode(['channels' => array_fill(0, 10_000, json_decode($question([]))->channels[0])] + json_decode($question([]), true)), 'channels'],
        'no channels' => [json_encode(['channels' => []] + json_decode($question([]), true)), 'channels'],
    ];
});

it('knows when a servo is driven too far, also two on one plug', function () {
    $both = (new ServoRange(1100, 1900))->and(new ServoRange(1050, 1850));
    expect($both->judge('flap', Reading::of(1100, 1500, 1850)))->toBeNull()
        ->and($both->judge('flap', Reading::of(988, 1500, 2012))?->message)->toContain('162 µs')
        ->and((new ServoRange(null, null))->judge('flap', Reading::of(500, 1500, 2500)))->toBeNull();
});

it('finds reversals that cancel out', function () {
    expect((new HiddenReversals(['the input' => true, 'the mix' => true, 'the output' => false]))->sentence())->toContain('cancel out')
        ->and((new HiddenReversals(['the input' => true, 'the mix' => true, 'the output' => true]))->isReversed())->toBeTrue()
        ->and((new HiddenReversals(['the input' => true]))->sentence())->toBeNull();
});

it('translates percent between makers', function () {
    expect((new Scale(1500, 512))->translated(78.125, new Scale(1500, 400)))->toEqualWithDelta(100.0, 1e-9);
});

it('never rounds beyond a limit', function () {
    mt_srand(11);
    foreach ([0.1, 0.5, 1.0] as $step) {
        for ($k = 0; $k < 200; $k++) {
            $now = ChannelSettings::delivered();
            $read = Reading::of(900 + mt_rand(0, 150), 1500 + mt_rand(-20, 20), 1950 + mt_rand(0, 150));
            $limit = Reading::of(1060 + mt_rand(0, 90), 1500, 1850 + mt_rand(0, 90));
            $handset = handsetWith(SubtrimModel::After, $step);
            $solution = (new TravelSolver($handset))->solve(Gimbal::seen($handset, $read, $now), $limit, $now, inward: true);
            // Inside, and no further inside than one step (100 % is less than 700 µs here).
            expect($solution->predicted->lo - $limit->lo)->toBeBetween(-1e-6, 7 * $step)->and($limit->hi - $solution->predicted->hi)->toBeBetween(-1e-6, 7 * $step);
        }
    }
});
