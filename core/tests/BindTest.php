<?php

declare(strict_types=1);

use Eris\Generators;
use Eris\TestTrait;
use Linguator\Core\Bind\Attempt;
use Linguator\Core\Bind\Candidates;
use Linguator\Core\Bind\Combination;
use Linguator\Core\Bind\Ladder;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\Verbs;

uses(TestTrait::class);

/** @return Generator<int, list<mixed>> Every order of the items. */
function permutations(array $items): Generator
{
    if (count($items) < 2) {
        yield $items;

        return;
    }
    foreach ($items as $k => $first) {
        foreach (permutations(array_values(array_diff_key($items, [$k => 0]))) as $rest) {
            yield [$first, ...$rest];
        }
    }
}

function expectedMinutes(array $rungs): float
{
    $spent = $expected = 0.0;
    foreach ($rungs as $rung) {
        $spent += $rung->combination->minutes;
        $expected += $rung->chance * $spent;
    }

    return $expected;
}

it('has the least expected time of all orders', function () {
    $this->limitTo(25)->forAll(Generators::tuple(Generators::choose(1, 9), Generators::choose(1, 9), Generators::choose(1, 9)), Generators::choose(0, 5), Generators::bool())
        ->then(function (array $minutes, int $tried, bool $close) {
            $candidates = new Candidates(['auto', 'a', 'b'], ['1-8', '1-16'], [], ['auto' => $minutes[0], 'a' => $minutes[1], 'b' => $minutes[2]]);
            $attempt = $candidates->combinations()[$tried];
            $ladder = Ladder::after($candidates, [new Attempt($attempt->variant, $attempt->channelMode, null, $close ? 0.3 : 2.0, false)]);
            $least = INF;
            foreach (permutations($ladder->rungs) as $order) {
                $least = min($least, expectedMinutes($order));
            }
            expect($ladder->expectedMinutes())->toEqualWithDelta($least, 1e-9);
            expect(array_sum(array_column($ladder->rungs, 'chance')))->toEqualWithDelta(1.0, 1e-9);
        });
});

it('starts every list likeliest first and never leaves a chance over or under', function () {
    $this->forAll(Generators::choose(1, 5), Generators::choose(1, 2), Generators::choose(0, 3), Generators::bool())->then(function (int $variants, int $modes, int $regions, bool $auto) {
        $names = array_map(fn (int $k): string => "v$k", range(1, $variants));
        $all = (new Candidates($auto ? ['auto', ...$names] : $names, array_slice(['1-8', '1-16'], 0, $modes), array_slice(['x', 'y', 'z'], 0, $regions)))->combinations();
        expect(array_sum(array_map(fn (Combination $c): float => $c->start, $all)))->toEqualWithDelta(1.0, 1e-9);
    });
});

it('climbs down to nothing when everything fails far enough away', function () {
    $candidates = new Candidates(['auto', 'a', 'b'], ['1-8', '1-16'], ['x', 'y']);
    $attempts = [];
    for ($k = 0; $k < 12; $k++) {
        $next = Ladder::after($candidates, $attempts)->next();
        $attempts[] = new Attempt($next->variant, $next->channelMode, $next->region, 2.0, false);
    }
    expect(Ladder::after($candidates, $attempts)->next())->toBeNull();
});

it('refuses names that are not candidates, and lists that say a thing twice', function (string $json, string $path) {
    expect(fn () => (new Verbs(new Schemas))->askText('bind-ladder', $json))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'twice' => ['{"candidates":{"variants":["a","a"],"channel_modes":["1-8"]},"attempts":[]}', 'candidates.variants.1'],
    'none' => ['{"candidates":{"variants":[],"channel_modes":["1-8"]},"attempts":[]}', 'candidates.variants'],
    'minutes of another' => ['{"candidates":{"variants":["a"],"channel_modes":["1-8"],"minutes":{"b":3}},"attempts":[]}', 'candidates.minutes.b'],
    'a mode not listed' => ['{"candidates":{"variants":["a"],"channel_modes":["1-8"]},"attempts":[{"variant":"a","channel_mode":"1-16","distance_m":2,"bound":false}]}', 'attempts.0.channel_mode'],
    'no region of two' => ['{"candidates":{"variants":["a"],"channel_modes":["1-8"],"regions":["x","y"]},"attempts":[{"variant":"a","channel_mode":"1-8","distance_m":2,"bound":false}]}', 'attempts.0.region'],
    'a region where there is none' => ['{"candidates":{"variants":["a"],"channel_modes":["1-8"]},"attempts":[{"variant":"a","channel_mode":"1-8","region":"x","distance_m":2,"bound":false}]}', 'attempts.0.region'],
]);
