<?php

declare(strict_types=1);

use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\RigReader;

/** @return array<string, stdClass> A question for each verb. */
function questions(): array
{
    $vectors = json_decode((string) file_get_contents(dirname(__DIR__).'/tests/fixtures/vectors/failsafe.json'));
    $demo = getenv('LINGUATOR_DEMO') ?: dirname(__DIR__).'/demo';
    $shelf = [];
    foreach (glob("$demo/gear/*.yaml") as $file) {
        foreach ((new CardReader(new Schemas))->fromText((string) file_get_contents($file)) as $card) {
            $shelf[$card->id] = $card->canonical();
        }
    }
    $rig = (new RigReader(new Schemas, new Shelf(static fn (string $id): ?stdClass => $shelf[$id] ?? null)))->fromText((string) file_get_contents("$demo/rigs/avocet.yaml"));

    return get_object_vars(json_decode((string) file_get_contents(__DIR__.'/questions.json'))) + [
        'failsafe' => $vectors->cases[0]->in,
        'readiness' => (object) ['rig' => $rig->canonical()],
        'simulate' => (object) ['rig' => $rig->canonical(), 'sticks' => (object) ['A' => 35, 'T' => 20]],
        'probe' => (object) ['rig' => $rig->canonical(), 'faults' => [(object) ['cause' => 'centre_off']], 'test' => 'rest_values'],
        'diagnose' => (object) ['evidence' => seen(20)],
    ];
}

/** @return list<stdClass> So many tests, each as it should be. */
function seen(int $tests): array
{
    return array_map(static fn (FaultTest $test): stdClass => (object) ['test' => $test->id, 'outcome' => $test->sound], array_slice(array_values(Knowledge::shipped()->tests), 0, $tests));
}
