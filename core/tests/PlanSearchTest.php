<?php

declare(strict_types=1);

use Linguator\Core\Chain\Path;
use Linguator\Core\Chain\PathSearch;
use Linguator\Core\Chain\PlanRequest;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Tests\PlainEnumeration;
use Linguator\Core\Tests\RandomShelf;
use Linguator\Core\Verb\Verbs;

it('agrees with plain enumeration on small random shelves', function (bool $relay, int $from) {
    $withPaths = 0;
    for ($seed = $from; $seed < $from + 500; $seed++) {
        $cards = (new RandomShelf($seed))->cards(['module' => 2, 'receiver' => 4, 'converter' => 3, 'controller' => $seed % 3]);
        $through = match ($seed % 5) {
            0 => ['re1'],
            1 => $seed % 3 > 0 ? ['co0'] : [],
            2 => $relay ? ['re0', 're2'] : ['mo0'],
            default => [],
        };
        $request = PlanRequest::fromDocument((object) ['shelf' => $cards, 'handset' => 'h', 'craft' => 'z', 'channels' => [4, 6, 8, 12][$seed % 4],
            'allow_relay' => $relay, 'through' => $through]);
        $expected = array_slice(PlainEnumeration::paths($request), 0, PathSearch::BEST);
        $found = PathSearch::best($request);
        $shown = static fn (array $paths): string => json_encode(array_map(static fn (Path $path): array => [$path->ids(), $path->cost, $path->jsonSerialize()], $paths));
        expect($shown($found))->toBe($shown($expected), "seed $seed");
        $withPaths += $found === [] ? 0 : 1;
        foreach ($found as $path) {
            expect(array_column($path->findings()->all, 'severity'))->not->toContain(Severity::Stop);
        }
    }
    expect($withPaths)->toBeGreaterThan(60);
})->with(['without relay' => [false, 1], 'with relay' => [true, 5000]]);

it('gives answers that fit their schema, and one of paths and nearest miss', function () {
    for ($seed = 1; $seed <= 60; $seed++) {
        $cards = (new RandomShelf($seed))->cards(['module' => 3, 'receiver' => 5, 'converter' => 2]);
        $answer = (new Verbs(new Schemas))->ask('plan', (object) ['shelf' => $cards, 'handset' => 'h', 'craft' => 'z', 'channels' => 6, 'allow_relay' => true]);
        (new Schemas)->check(json_decode(json_encode($answer)), 'verbs/plan.out.json');
        expect(isset($answer['nearest_miss']))->toBe($answer['paths'] === []);
        expect($answer['nearest_miss']['misses'] ?? [1])->not->toBeEmpty();
    }
});
