<?php

declare(strict_types=1);

use Linguator\Core\Bench\Duplicate;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;
use Linguator\Core\Tests\DemoRigs;

function duplicated(RigDocument $rig): RigDocument
{
    $document = (new Duplicate('Second', null))->of($rig, new Occasion('2026-11-24T10:00:00Z', DemoRigs::shelf()));

    return (new RigReader(new Schemas, DemoRigs::shelf()))->fromDocument(json_decode((string) json_encode($document)));
}

function proofsOf(RigDocument $rig): array
{
    $states = [];
    foreach (DemoRigs::review($rig)['readiness']['checks'] as $check) {
        $states[] = [$check['check'], $check['state']];
    }

    return $states;
}

it('leaves a second craft no proof that lies in hardware, and no reading of it', function (RigDocument $rig) {
    $second = duplicated($rig);
    foreach (proofsOf($second) as [$check, $state]) {
        // Where nothing can be set, what the receiver does as delivered is the kind's, not the craft's.
        $isOfTheKind = $check === 'failsafe_set' && $rig->name() === 'Sanderling';
        if (CheckKind::from($check)->liesInHardware() && ! $isOfTheKind) {
            expect($state)->not->toBe('holds', "$check of {$rig->name()}");
        }
    }
    $document = $second->document;
    expect($document->measurements ?? [])->toBe([])->and($document->attempts ?? [])->toBe([])->and($document->sign_offs ?? [])->toBe([])
        ->and($document->settings->failsafe ?? [])->toBe([])
        ->and(json_encode($document->settings->channels ?? []))->not->toContain('ends_us')
        ->and(DemoRigs::review($second)['readiness']['sign_off']['state'])->not->toBe('signed');
})->with(function () {
    foreach (['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling'] as $name) {
        yield $name => [DemoRigs::get($name)];
    }
});

it('keeps what is set and ticked off at the handset', function () {
    $rig = DemoRigs::get('dunlin');
    $second = duplicated($rig)->document->settings;
    expect($second->order)->toBe('AETR')->and($second->memory)->toBe(6)->and($second->switches)->toEqual($rig->document->settings->switches)
        ->and(array_keys((array) $second->done))->toBe(['handset/calibration', 'handset/alarm', 'handset/memory'])
        ->and($second->channels[0])->toEqual((object) ['channel' => 1, 'rate_pct' => 80, 'expo_pct' => 15]);
    expect((array) duplicated(DemoRigs::get('mudlark'))->document->settings->done)->toBe([]);
});

it('takes no tick of a relay along, nor of a receiver', function () {
    $rig = DemoRigs::get('oystercatcher');
    expect((array) $rig->document->settings->done)->toHaveKeys(['weft-r16i/protocol', 'longshore/input'])
        ->and((array) duplicated($rig)->document->settings->done)->toBe([])
        ->and((array) duplicated(DemoRigs::get('avocet'))->document->settings->done)->toHaveKeys(['ostrel-9/bay', 'brack-m4/protocol', 'handset/alarm'])->not->toHaveKey('rig/wiring');
});

it('changes nothing of the first rig', function () {
    $rig = DemoRigs::get('avocet');
    $before = json_encode($rig->document);
    duplicated($rig);
    expect(json_encode($rig->document))->toBe($before);
});

it('proves in a first craft what it does not prove in the second', function () {
    expect(proofsOf(DemoRigs::get('avocet')))->toContain(['range', 'holds'], ['bind', 'holds'])
        ->and(proofsOf(duplicated(DemoRigs::get('avocet'))))->toContain(['range', 'open'], ['bind', 'open'], ['order', 'holds']);
});
