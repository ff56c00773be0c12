<?php

declare(strict_types=1);

use Eris\Generators;
use Eris\TestTrait;
use Linguator\Core\Timing\LatencyBudget;
use Linguator\Core\Timing\LatencyStage;
use Linguator\Core\Timing\PulseTrain;
use Linguator\Core\Timing\Resolution;
use Linguator\Core\Timing\StageLevels;

uses(TestTrait::class);

/**
 * The exact 95th percentile of a sum of uniforms on [0, w], from the closed form of the tail:
 * P(total − sum < y) = Σ over subsets S of (−1)^|S| (y − Σ S)₊ⁿ / (n! Π w).
 */
function exactP95(array $widths): float
{
    $n = count($widths);
    $tail = function (float $y) use ($widths, $n): float {
        $sum = 0.0;
        for ($bits = 0; $bits < 1 << $n; $bits++) {
            $part = $y;
            foreach ($widths as $k => $width) {
                $part -= ($bits >> $k & 1) * $width;
            }
            $sum += $part > 0 ? (substr_count(decbin($bits), '1') % 2 ? -1 : 1) * $part ** $n : 0;
        }

        return $sum / (array_product(range(1, $n)) * array_product($widths));
    };
    [$low, $high] = [0.0, array_sum($widths)];
    for ($k = 0; $k < 60; $k++) {
        $middle = ($low + $high) / 2;
        $tail($middle) < 0.05 ? $low = $middle : $high = $middle;
    }

    return array_sum($widths) - $low;
}

it('knows the 95th percentile within 0.05 ms of the exact value', function (array $widths) {
    $budget = new LatencyBudget(array_map(fn (float $width) => new LatencyStage('a', $width, 0.0), $widths));
    expect($budget->p95())->toEqualWithDelta(exactP95($widths), 0.05);
})->with([
    'one' => [[20.0]], 'two alike' => [[10.0, 10.0]], 'two unlike' => [[0.1, 22.0]], 'three' => [[4.0, 9.0, 20.0]], 'very unlike' => [[0.01, 0.02, 100.0, 1.0]],
    'a relay' => [[9.0, 14.0, 20.0, 7.0, 22.5, 4.0]], 'long ones' => [[1000.0, 600.0, 200.0]], 'twelve' => [[1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0, 11.0, 12.0]],
]);

it('keeps best, mean, 95th percentile and worst in order, and shares that add up', function () {
    $this->forAll(Generators::seq(Generators::tuple(Generators::choose(0, 40), Generators::choose(0, 10), Generators::choose(1, 3), Generators::bool())))->then(function (array $stages) {
        $budget = new LatencyBudget(array_map(fn (array $s) => new LatencyStage('s', (float) $s[0], (float) $s[1], $s[2], $s[3]), [...$stages, [5, 1, 1, false]]));
        expect($budget->best())->toBeLessThanOrEqual($budget->mean())->and($budget->mean())->toBeLessThanOrEqual($budget->p95() + 1e-9)->and($budget->p95())->toBeLessThanOrEqual($budget->worst());
        expect(array_sum(array_column($budget->shares(), 'share')))->toEqualWithDelta(1.0, 1e-9);
    });
});

it('proposes remedies for a pulse train that do mend it', function () {
    $this->forAll(Generators::choose(8000, 30000), Generators::choose(2, 12), Generators::choose(1800, 2200), Generators::choose(1000, 5000))->then(function (int $frame, int $channels, int $max, int $detect) {
        $train = new PulseTrain($frame, $channels, 900, $max, $channels, null, $detect);
        $with = fn (float $frame, int $channels): PulseTrain => new PulseTrain($frame, $channels, 900, $max, $channels, null, $detect);
        expect($with($train->frameNeeded(), $channels)->isSound())->toBeTrue()->and($with($train->frameNeeded() - 500, $channels)->isSound())->toBeFalse();
        $most = $train->mostChannels();
        expect($most === 0 || $with($frame, $most)->isSound())->toBeTrue()->and($with($frame, $most + 1)->isSound())->toBeFalse();
    });
});

it('lets the stage with the fewest levels govern, wherever it stands', function () {
    $stages = [new StageLevels('handset', 2048), new StageLevels('air', 1024), new StageLevels('wire', 1640)];
    $resolution = new Resolution($stages, 1024.0);
    expect($resolution->coarsest())->name->toBe('air')->levels->toBe(1024)
        ->and(array_map(fn ($step) => $step->stepUs, $resolution->steps()))->toBe([0.5, 1.0, 0.624])
        ->and((new Resolution([], 1024.0))->coarsest())->toBeNull();
});
