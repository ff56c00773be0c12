<?php

declare(strict_types=1);

use Eris\Generators;
use Eris\TestTrait;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Switching\StickCurve;
use Linguator\Core\Switching\SwitchLevels;
use Linguator\Core\Switching\Window;
use Linguator\Core\Switching\WindowCheck;
use Linguator\Core\Verb\Verbs;

uses(TestTrait::class);

it('keeps every level inside ± max', function () {
    $this->forAll(Generators::choose(2, 12), Generators::choose(-300, 300), Generators::choose(-300, 300), Generators::choose(10, 200))->then(function (int $positions, int $weight, int $offset, int $max) {
        foreach (SwitchLevels::of(new Scale(1500, 512), $max, $positions, $weight, $offset)->levels as $level) {
            expect(abs($level->pct))->toBeLessThanOrEqual($max);
            expect($level->us)->toEqualWithDelta(1500 + 512 * $level->pct / 100, 1e-6);
        }
    });
});

it('says inside exactly when no margin is negative', function () {
    $this->forAll(Generators::choose(2, 6), Generators::choose(900, 1900), Generators::choose(10, 400))->then(function (int $positions, int $lo, int $width) {
        $levels = SwitchLevels::of(new Scale(1500, 500), 150, $positions);
        $check = new WindowCheck($levels, new Window('x', $lo, $lo + $width, range(1, $positions)));
        expect($check->inside())->toBe(array_keys(array_filter($check->margins(), fn (float $margin): bool => $margin >= 0)));
        // A window widened as the finding proposes takes its level in with room.
        foreach ($check->findings() as $finding) {
            preg_match('/from ([\d.]+) to ([\d.]+) µs/', (string) $finding->change, $edges);
            preg_match('/Position (\d+)/', $finding->message, $position);
            $mended = new WindowCheck($levels, new Window('x', (float) $edges[1], (float) $edges[2], [(int) $position[1]]));
            expect($mended->margins()[(int) $position[1]])->toBeGreaterThanOrEqual(25.0);
        }
    });
});

it('leaves the ends of a stick alone under expo, and softens the middle', function () {
    $curve = new StickCurve(0.7, 0.3);
    $scale = new Scale(1500, 512);
    expect($curve->throwUs($scale))->toEqualWithDelta(358.4, 1e-9)->and($curve->centreGain())->toEqualWithDelta(0.49, 1e-9)->and($curve->at(-1.0))->toEqualWithDelta(-0.7, 1e-9);
    $points = array_column($curve->points($scale), 'us');
    expect($points)->toHaveCount(41)->and($points)->toBe((function () use ($points) {
        sort($points);

        return $points;
    })());
});

it('gives arm its own rules', function () {
    $ask = fn (array $more): array => (new Verbs(new Schemas))->ask('switch', json_decode(json_encode($more + ['scale' => ['centre' => 1500, 'us_per_100' => 512, 'max_pct' => 150],
        'switch' => ['positions' => 2, 'weight' => 100, 'offset' => 0], 'windows' => [['name' => 'arm', 'lo' => 1700, 'hi' => 2100, 'wanted' => [2]]]])))['windows'][0];
    $codes = fn (array $window): array => array_column($window['findings'], 'code');
    expect($codes($ask(['power_up_position' => 1])))->toBe([])
        ->and($codes($ask(['power_up_position' => 2])))->toBe(['S3'])
        ->and($codes($ask(['switch' => ['positions' => 2, 'weight' => 100, 'offset' => 0, 'spring' => true]])))->toBe(['S4'])
        ->and($ask(['failsafe_us' => 1900])['ok'])->toBeFalse();
});

it('rounds half a step away from zero, dust or not', function (float $value, float $step, float $to) {
    expect(Steps::nearest($value, $step))->toBe($to);
})->with([[2.5, 1.0, 3.0], [-2.5, 1.0, -3.0], [97.65, 0.1, 97.7], [0.15, 0.1, 0.2], [-0.04, 0.1, 0.0], [99.5, 1.0, 100.0]]);
