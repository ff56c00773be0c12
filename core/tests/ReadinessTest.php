<?php

declare(strict_types=1);

use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\ProofState;
use Linguator\Core\Readiness\MakeCheck;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigHistory;
use Linguator\Core\Rig\RigLog;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Verb\Verbs;

/** @return array<string, string> By check. */
function checkStates(RigDocument $rig): array
{
    return array_column(Plain::object(DemoRigs::readiness($rig)->shown())['checks'], 'state', 'check');
}

function withSet(RigDocument $rig, array $set): RigDocument
{
    return DemoRigs::changed($rig, RigPatch::of((array) json_decode(json_encode($set))));
}

/** Changes, and the checks each must make stale, written out by hand from the dependencies. */
dataset('changes', [
    'handset order' => [['settings.order' => 'TAER'], ['bind', 'order', 'direction', 'failsafe_set', 'failsafe_tested']],
    'remapping' => [['settings.remap' => ['brack-m4' => false]], ['bind', 'order', 'direction', 'failsafe_set', 'failsafe_tested']],
    'plugs' => [['settings.plugs' => 'arrival'], ['order']],
    'receiver number' => [['settings.receiver_number' => 9], ['bind', 'failsafe_set', 'failsafe_tested']],
    'channel mode' => [['settings.channel_mode' => '1-16'], ['bind']],
    'variant' => [['settings.variant' => 'tarn-a'], ['bind']],
    'antenna' => [['settings.antenna' => 'in the fin'], ['antenna', 'range']],
    'power' => [['settings.power_mw' => 100], ['range']],
    'handset pack' => [['settings.pack' => ['chemistry' => 'lipo', 'cells' => 2]], ['power']],
    'craft pack' => [['settings.craft_pack' => ['chemistry' => 'lipo', 'cells' => 2]], ['power']],
    'windows' => [['settings.windows' => [['name' => 'x', 'channel' => 6, 'lo' => 900, 'hi' => 1600, 'wanted' => [1]]]], ['switches', 'failsafe_tested']],
    'a switch' => [['settings.switches' => [['function' => 'flap', 'channel' => 6, 'switch' => 'L2']]], ['switches']],
    'thresholds' => [['settings.thresholds' => ['low' => 1040]], ['failsafe_tested']],
    'failsafe mode' => [['settings.failsafe' => []], ['failsafe_set', 'failsafe_tested']],
    'memory' => [['settings.memory' => 12], []],
    'wire colour' => [['settings.colours' => ['tarn-t7-throttle' => ['signal' => 'blue']]], []],
    'stick mode' => [['settings.stick_mode' => 1], []],
]);

it('makes stale exactly the checks that depend on a setting, and whole again when it is taken back', function (array $set, array $stale) {
    $rig = DemoRigs::get('avocet');
    $before = checkStates($rig);
    expect(array_unique(array_values($before)))->toBe(['holds']);
    $patch = RigPatch::of((array) json_decode(json_encode($set)));
    $result = $patch->apply($rig->document);
    $changed = DemoRigs::changed($rig, $patch);
    $lost = array_keys(array_filter(checkStates($changed), fn (string $state): bool => $state !== 'holds'));
    sort($lost);
    sort($stale);
    expect($lost)->toBe($stale);
    expect(DemoRigs::readiness($changed)->signOff()->state)->toBe($stale === [] ? ProofState::Holds : ProofState::Stale);
    $back = DemoRigs::changed($changed, RigPatch::takingBack($result->before, $result->after));
    expect(checkStates($back))->toBe($before)->and(DemoRigs::readiness($back)->signOff()->state)->toBe(ProofState::Holds);
})->with('changes');

it('says what to redo in the order of the job, with the reason and the day', function () {
    $rig = withSet(DemoRigs::get('avocet'), ['settings.order' => 'TAER', 'settings.antenna' => 'in the fin']);
    $rig->document->log = [...$rig->node()->items('log'), (object) ['at' => '2026-11-22T09:00:00Z', 'kind' => 'change', 'before' => (object) ['settings.order' => 'AETR'], 'after' => (object) ['settings.order' => 'TAER']]];
    $redo = Plain::of(DemoRigs::readiness(RigDocument::of($rig->document))->redo());
    expect(array_column($redo, 'check'))->toBe(['bind', 'order', 'direction', 'failsafe_set', 'failsafe_tested', 'antenna', 'range'])
        // What the receiver stored while it was bound asks for binding again.
        ->and($redo[0]['because'])->toBe("the failsafe stored at bind is stale: the handset's order changed from AETR to TAER on 22 Nov 2026")
        ->and($redo[1]['because'])->toBe("the handset's order changed from AETR to TAER on 22 Nov 2026");
});

it('needs no range check of what stays within one room, nor switches where there are none', function () {
    $rig = withSet(DemoRigs::get('avocet'), ['craft.indoors' => true, 'settings.antenna' => 'x', 'settings.switches' => []]);
    $required = array_column(Plain::object(DemoRigs::readiness($rig)->shown())['checks'], 'required', 'check');
    expect($required['range'])->toBeFalse()->and($required['switches'])->toBeFalse()->and($required['antenna'])->toBeTrue();
});

it('answers a script, and refuses an id in place of a card', function () {
    $rig = DemoRigs::get('avocet')->canonical();
    $answer = (new Verbs(new Schemas))->ask('readiness', (object) ['rig' => $rig]);
    (new Schemas)->check(json_decode(json_encode($answer)), 'verbs/readiness.out.json');
    expect($answer['ready'])->toBeTrue()->and($answer['redo'])->toBe([]);
    $rig->chain[1] = 'brack-m4';
    expect(fn () => (new Verbs(new Schemas))->ask('readiness', (object) ['rig' => $rig]))->toThrow(fn (Linguator\Core\Document\DocumentError $error) => expect($error->path)->toBe('rig.chain.1'));
});

it('a check that failed is not ready, however often it held before', function () {
    $rig = DemoRigs::get('avocet');
    $failed = DemoRigs::did($rig, new MakeCheck(CheckKind::Range, false, 'rudder twitched', 'Wren'));
    expect(checkStates($failed)['range'])->toBe('failed')->and(DemoRigs::readiness($failed)->isReady())->toBeFalse();
});

it('finds a rig again at every moment of a random history', function () {
    $rig = DemoRigs::get('dunlin');
    mt_srand(7);
    [$document, $log, $moments] = [$rig->document, [], []];
    for ($k = 0; $k < 60; $k++) {
        $moments[] = json_encode($document);
        $set = [['settings.memory' => mt_rand(1, 5)], ['settings.order' => ['AETR', 'TAER', 'RETA'][mt_rand(0, 2)]], ['settings.antenna' => "place $k"], ['settings.done.handset/trims' => (bool) mt_rand(0, 1)]][mt_rand(0, 3)];
        $result = RigPatch::of($set, mt_rand(0, 3) === 0 ? ['settings.antenna'] : [])->apply($document);
        $log[] = (object) ['at' => '2026-11-24T10:00:00Z', 'kind' => 'change', 'before' => $result->before, 'after' => $result->after];
        $document = $result->document;
    }
    $history = new RigHistory($document, new RigLog($log));
    foreach ($moments as $k => $moment) {
        expect(RigPatch::same($history->at($k - 1), json_decode($moment)))->toBeTrue("moment $k");
    }
    foreach (RigHistory::compare($history->at(9), $document) as $difference) {
        $document = RigPatch::of((array) $difference['set'], $difference['clear'])->apply($document)->document;
    }
    expect(RigHistory::compare($history->at(9), $document))->toBe([]);
});
