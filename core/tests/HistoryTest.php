<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;
use Linguator\Core\Rig\EntryChange;
use Linguator\Core\Rig\HistoryRun;
use Linguator\Core\Rig\HistoryRuns;
use Linguator\Core\Rig\ListChange;
use Linguator\Core\Rig\PatchDone;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigFace;
use Linguator\Core\Rig\RigHistory;
use Linguator\Core\Rig\RigIdentity;
use Linguator\Core\Rig\RigLog;
use Linguator\Core\Rig\RigPatch;

/** An entry of the history, as a change of this kind writes it. */
function entryOf(PatchDone $result, string $kind = 'change', ?int $undoes = null): \stdClass
{
    return (object) (['at' => '2026-11-28T10:00:00Z', 'kind' => $kind] + (array) EntryChange::of($result->before, $result->after, $result->lists)->told() + ($undoes === null ? [] : ['undoes' => $undoes]));
}

/** @return list<\stdClass> Some items of a list, some of them equal. */
function someItems(int $most): array
{
    return array_map(static fn (): \stdClass => (object) ['channel' => mt_rand(1, 4), 'weight' => mt_rand(0, 2)], range(1, mt_rand(1, $most)));
}

it('tells of two lists what differs, and finds the first again from the second', function () {
    mt_srand(28);
    for ($run = 0; $run < 600; $run++) {
        [$before, $after] = [array_slice(someItems(7), mt_rand(0, 2)), array_slice(someItems(7), mt_rand(0, 2))];
        if ($run % 3 === 0) {
            // Mostly the same: one changed, one more, or one less.
            $after = $before;
            array_splice($after, mt_rand(0, count($after)), mt_rand(0, 1), mt_rand(0, 1) === 0 ? [] : someItems(2));
        }
        $told = ListChange::between($before, $after);
        ListChange::takingBack($told)->apply($after, 'settings.channels');
        expect($after)->toEqual($before);
    }
});

it('tells one item added, changed or taken away as just that', function (array $before, array $after, array $told) {
    expect((array) ListChange::between($before, $after))->toBe($told);
})->with([
    'added at the end' => [['a', 'b'], ['a', 'b', 'c'], ['at' => 2, 'added' => 1]],
    'added in front' => [['b'], ['a', 'b'], ['at' => 0, 'added' => 1]],
    'changed' => [['a', 'b', 'c'], ['a', 'x', 'c'], ['at' => 1, 'removed' => ['b'], 'added' => 1]],
    'taken away' => [['a', 'b', 'c'], ['a', 'c'], ['at' => 1, 'removed' => ['b']]],
    'emptied' => [['a'], [], ['at' => 0, 'removed' => ['a']]],
    'nothing' => [['a'], ['a'], ['at' => 1]],
    'one of two equal ones' => [['a', 'a'], ['a'], ['at' => 1, 'removed' => ['a']]],
]);

it('refuses to take more out of a list than it holds', function () {
    $list = [1, 2, 3];
    expect(fn () => ListChange::takingBack((object) ['at' => 2, 'added' => 3])->apply($list, 'checks'))
        ->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe('broken_history')->and($error->getMessage())->toContain('Found 3 entries')->toContain('5'));
});

it('finds a rig with growing and changing lists again at every moment, undone and done again', function () {
    mt_srand(2811);
    for ($run = 0; $run < 25; $run++) {
        $document = DemoRigs::get('dunlin')->document;
        [$entries, $states] = [[], [$document]];
        for ($k = 0; $k < 30; $k++) {
            $undo = mt_rand(0, 4) === 0 ? (new RigLog($entries))->lastStanding() : null;
            $patch = match (true) {
                $undo !== null => (new RigLog($entries))->takingBack($undo, $document),
                mt_rand(0, 1) === 0 => (new CheckMade(CheckKind::Range, null, true, null, "at $k m", 'Wren', '2026-11-28T10:00:00Z'))->on(RigDocument::of($document)),
                mt_rand(0, 2) === 0 => RigPatch::of([], [['settings.channels', 'settings.switches', 'checks'][mt_rand(0, 2)]]),
                default => RigPatch::of(['settings.channels' => someItems(5), 'settings.memory' => $k]),
            };
            $result = $patch->apply($document);
            $entries[] = entryOf($result, $undo === null ? 'change' : 'undo', $undo);
            $document = $result->document;
            $states[] = $document;
        }
        $history = new RigHistory($document, new RigLog($entries));
        foreach ($states as $k => $state) {
            expect(RigPatch::same($history->at($k - 1), $state))->toBeTrue("run $run, moment $k");
        }
        // The end of a history is enough for its end.
        $end = new RigLog(array_slice($entries, 20, null, true));
        expect(RigPatch::same((new RigHistory($document, $end))->at(21), $states[22]))->toBeTrue();
    }
});

it('makes an old history lean without changing a moment of it, and leaves alone what is wrong about its document', function () {
    $document = DemoRigs::get('dunlin')->document;
    [$entries, $states] = [[], [$document]];
    for ($k = 0; $k < 20; $k++) {
        $checks = [...($document->checks ?? []), (object) ['check' => 'range', 'result' => 'pass', 'observed' => "at $k m"]];
        $result = RigPatch::of(['checks' => $checks])->apply($document);
        $entries[] = (object) ['at' => '2026-11-28T10:00:00Z', 'kind' => 'test', 'before' => $result->before, 'after' => $result->after];
        $document = $result->document;
        $states[] = $document;
    }
    // Written by hand: the list it speaks of was never there.
    $entries[] = (object) ['at' => '2026-11-28T11:00:00Z', 'kind' => 'change', 'before' => (object) ['settings.switches' => [1]], 'after' => (object) ['settings.switches' => [2]]];
    $lean = (new RigHistory($document, new RigLog($entries)))->lean();
    expect(strlen(json_encode($lean)))->toBeLessThan(intdiv(strlen(json_encode($entries)), 5))->and($lean[20])->toEqual($entries[20]);
    foreach ([$entries, $lean] as $log) {
        $history = new RigHistory($document, new RigLog($log));
        foreach ($states as $k => $state) {
            expect(RigPatch::same($history->at($k - 1)->checks ?? null, $state->checks ?? null))->toBeTrue();
        }
    }
});

it('judges a rig of many years by its face as by the whole of it', function (string $name) {
    $rig = DemoRigs::get($name);
    $document = RigPatch::copy($rig->document);
    expect(RigFace::of($document))->toBeNull();
    mt_srand(5);
    foreach (range(1, 120) as $k) {
        $kind = CheckKind::cases()[mt_rand(0, count(CheckKind::cases()) - 1)];
        $document = (new CheckMade($kind, $kind->isPerHop() ? mt_rand(1, 2) : null, mt_rand(0, 9) > 0, null, "seen $k", 'Wren', sprintf('2026-01-01T10:%02d:00Z', $k % 60)))->on(RigDocument::of($document))->apply($document)->document;
        $document->measurements[] = (object) ['at' => '2026-01-01T10:00:00Z', 'channel' => mt_rand(1, 4), 'lo_us' => 1000 + mt_rand(0, 600), 'mid_us' => 1500, 'hi_us' => 1990 + mt_rand(0, 9), 'settings' => (object) ['lo_pct' => mt_rand(0, 1) === 0 ? 100 : 90, 'hi_pct' => 100, 'subtrim' => 0]];
        if ($k % 20 === 0) {
            $document->sign_offs[] = (object) ['at' => '2026-01-02T10:00:00Z', 'by' => 'Wren', 'made_with' => (object) ['order' => 'AETR']];
        }
    }
    $face = RigFace::of($document);
    expect($face)->not->toBeNull()->and(strlen(json_encode($face)))->toBeLessThan(intdiv(strlen(json_encode($document)), 2));
    expect(DemoRigs::review(RigDocument::of($face)))->toBe(DemoRigs::review(RigDocument::of($document)));
})->with(['avocet', 'dunlin', 'oystercatcher', 'sanderling']);

it('knows a rig again that came without an id, at every moment of its history', function () {
    $document = DemoRigs::get('mudlark')->document;
    $plain = clone $document;
    unset($plain->log);
    $log = $document->log ?? [];
    $result = RigPatch::of([])->adding('checks', [(object) ['check' => 'range', 'result' => 'pass']])->apply($plain);
    $later = $result->document;
    $later->log = [...$log, entryOf($result)];
    expect(RigIdentity::of($later))->toBe(RigIdentity::of($document))->toMatch('/^[0-9a-f]{16}$/D')
        ->and(RigIdentity::of(DemoRigs::get('dunlin')->document))->not->toBe(RigIdentity::of($document))
        ->and(RigIdentity::of((object) ['uid' => 'one-of-its-own']))->toBe('one-of-its-own');
});

it('tells the day on which a setting changed, also where the entry tells of a list only what differs', function () {
    $document = DemoRigs::get('avocet')->document;
    $result = RigPatch::of(['settings.channels' => array_map(static fn (\stdClass $channel): \stdClass => (object) (['ends_us' => [1010, 1500, 1990]] + get_object_vars($channel)), $document->settings->channels)])->apply($document);
    $entry = (object) (['at' => '2026-11-20T10:00:00Z', 'kind' => 'change', 'text' => 'Ends'] + (array) EntryChange::of($result->before, $result->after)->told());
    expect(array_keys(get_object_vars($entry->lists)))->toBe(['settings.channels'])->and(get_object_vars($entry->before))->toBe([]);
    $changed = $result->document;
    $changed->log = [...($changed->log ?? []), $entry];
    $checks = json_encode(DemoRigs::review(RigDocument::of($changed))['readiness']['checks'], JSON_UNESCAPED_UNICODE);
    expect($checks)->toContain('the ends of a channel changed on 20 Nov 2026');
});

it('reads changes of one thing made in one go as one, and leaves all others by themselves', function () {
    $entry = static fn (string $at, string $place, string $kind = 'change'): \stdClass => (object) ['at' => "2026-11-20T{$at}Z", 'kind' => $kind, 'text' => $place, 'before' => new \stdClass, 'after' => (object) ($place === '' ? [] : [$place => 1])];
    $runs = HistoryRuns::of(new RigLog([
        $entry('10:00:00', 'settings.windows'), $entry('10:01:00', 'settings.switches'), $entry('10:09:00', 'settings.windows'),
        // Ten minutes and a second later somebody comes back to it: another run, and too short for one.
        $entry('10:19:01', 'settings.windows'), $entry('10:20:00', 'settings.windows'),
        $entry('10:21:00', 'settings.colours.a'), $entry('10:21:10', 'settings.colours.b'), $entry('10:21:20', 'settings.colours.c'), $entry('10:21:30', 'settings.order'),
        $entry('10:22:00', 'settings.order', 'undo'), $entry('10:22:10', 'settings.order', 'undo'), $entry('10:22:20', 'settings.order', 'undo'),
        $entry('10:23:00', ''), $entry('10:23:10', ''), $entry('10:23:20', ''),
    ]));
    $first = new HistoryRun(2, 'Switches and windows: 3 changes in one go');
    $colours = new HistoryRun(7, 'Wire colours: 3 changes in one go');
    expect($runs)->toEqual([0 => $first, 1 => $first, 2 => $first, 5 => $colours, 6 => $colours, 7 => $colours]);
});

it('keeps a change that touched two things by itself', function () {
    $both = (object) ['at' => '2026-11-20T10:00:00Z', 'kind' => 'change', 'text' => 'Path', 'before' => new \stdClass, 'after' => (object) ['chain' => [], 'settings.windows' => []]];
    $lists = (object) ['at' => '2026-11-20T10:00:00Z', 'kind' => 'change', 'text' => 'Window', 'before' => new \stdClass, 'after' => new \stdClass, 'lists' => (object) ['settings.windows' => new \stdClass]];
    expect(HistoryRuns::of(new RigLog([$both, $both, $both])))->toBe([])
        ->and(array_keys(HistoryRuns::of(new RigLog([$lists, $lists, $lists]))))->toBe([0, 1, 2]);
});
