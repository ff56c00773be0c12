<?php

declare(strict_types=1);

use Linguator\Core\Bench\RigPlan;
use Linguator\Core\Chain\Miss;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Finding\Code;
use Linguator\Core\Rig\PlaceNames;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigLog;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\RandomShelf;
use Linguator\Core\Verb\Verbs;

/** @return array<string, string> State by step. */
function stepsOf(RigDocument $rig): array
{
    return array_column(DemoRigs::review($rig)['steps'], 'state', 'key');
}

/** @param  array<string, mixed>  $set */
function rigWith(string $name, array $set, array $clear = []): RigDocument
{
    return DemoRigs::changed(DemoRigs::get($name), RigPatch::of($set, $clear));
}

it('tells of each rig on the demo bench how far it is, and the one next thing', function (string $name, string $severity, string $sentence, string $step, array $notDone) {
    $review = DemoRigs::review(DemoRigs::get($name));
    expect($review['next'])->toMatchArray(['severity' => $severity, 'sentence' => $sentence, 'step' => $step]);
    expect(array_keys(array_filter(array_column($review['steps'], 'state', 'key'), fn (string $state): bool => $state !== 'done')))->toBe($notDone);
})->with([
    'avocet' => ['avocet', 'done', 'Signed off on 3 Nov 2026.', 'check-out', []],
    'dunlin' => ['dunlin', 'attention', 'The lowest throttle, 1085 µs, is not below the low threshold of 1060 µs.', 'travel', ['travel', 'failsafe', 'check-out']],
    'mudlark' => ['mudlark', 'attention', 'The pulse train of Weft R8t has no room for its gap: 18 ms is too short.', 'path', ['path', 'order', 'travel', 'failsafe', 'check-out']],
    'sanderling' => ['sanderling', 'stop', 'The aileron servo is driven 112 µs too far.', 'travel', ['bind', 'order', 'travel', 'failsafe', 'check-out']],
    'oystercatcher' => ['oystercatcher', 'stop', 'The first hop holds on loss.', 'failsafe', ['order', 'travel', 'failsafe', 'check-out']],
]);

it('makes stale what a late change touches, and nothing else', function (array $set, array $touched) {
    $before = stepsOf(DemoRigs::get('avocet'));
    $after = stepsOf(rigWith('avocet', $set));
    expect(array_keys(array_diff_assoc($after, $before)))->toBe($touched);
})->with([
    'another model memory' => [['settings.memory' => 9], []],
    'another receiver number' => [['settings.receiver_number' => 12], ['bind', 'failsafe', 'check-out']],
    // Functions arrive on other pins: the wiring table is another one too.
    'remapping off' => [['settings.remap.brack-m4' => false], ['wiring', 'bind', 'order', 'failsafe', 'check-out']],
    'the handset the other way round' => [['settings.order' => 'RTEA'], ['wiring', 'bind', 'order', 'travel', 'failsafe', 'check-out']],
    'another name' => [['name' => 'Avocet II'], []],
]);

it('says of an unfinished rig what to do first', function () {
    $blank = RigDocument::of(RigDocument::blank('New', 'plane'));
    $review = DemoRigs::review($blank);
    expect($review['next'])->toMatchArray(['severity' => 'open', 'sentence' => 'No chain yet.', 'action' => 'Choose the path'])
        ->and(array_unique(array_column($review['steps'], 'state', 'key')))->toContain('open')->not->toContain('stop', 'attention');
    // Receiver and handset of families that never meet.
    $chain = [DemoRigs::get('dunlin')->document->chain[0], DemoRigs::get('avocet')->document->chain[2], DemoRigs::get('avocet')->document->chain[3]];
    $apart = DemoRigs::review(rigWith('dunlin', ['chain' => $chain]));
    expect($apart['next'])->toMatchArray(['severity' => 'stop', 'step' => 'path', 'action' => 'Find another path'])
        ->and($apart['next']['sentence'])->toBe('Ostrel 9 and Tarn T7 share no air protocol.');
});

it('asks the verb plan for a rig, and gives its answer names', function () {
    $shelf = array_values(array_map(fn ($card): stdClass => $card->canonical(), [...DemoRigs::get('dunlin')->cards, ...DemoRigs::get('avocet')->cards]));
    $shelf = array_values(array_column($shelf, null, 'id'));
    $rig = rigWith('dunlin', ['path.handset' => 'ostrel-9', 'path.craft' => 'ruddle-f6', 'settings.pack' => (object) ['chemistry' => 'life', 'cells' => 3]]);
    $plan = new RigPlan($rig, $shelf);
    $question = $plan->question();
    (new Schemas)->check($question, 'verbs/plan.in.json');
    expect($question)->handset->toBe('ostrel-9')->channels->toBe($rig->channels())->and($question->pack->cells)->toBe(3)->and(array_column($question->functions, 'channel', 'function'))->toHaveKey('arm', 5);
    $shown = (array) $plan->shown(new Schemas);
    expect($shown['paths'][0]['boxes'])->toBe(['ostrel-9', 'weft-r16i', 'ruddle-f6'])->and($shown['names']->{'weft-r16i'})->toBe('Weft R16i');
    // Without the receiver nothing joins, and the miss is told in a sentence.
    $without = array_values(array_filter($shelf, fn (stdClass $card): bool => $card->kind !== 'receiver'));
    $miss = (array) (new RigPlan($rig, $without))->shown(new Schemas);
    expect($miss['paths'])->toBe([])->and($miss['misses'] ?? [])->each->toHaveKeys(['code', 'message', 'change']);
    expect(fn () => (new RigPlan(RigDocument::of(RigDocument::blank('x', 'plane')), []))->question())->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('path.handset'));
});

it('has a sentence and a remedy for everything that keeps two boxes apart', function () {
    $codes = [];
    for ($seed = 1; $seed <= 60; $seed++) {
        $shelf = (new RandomShelf($seed))->cards(['module' => 1, 'receiver' => 2, 'converter' => 1]);
        $answer = (new Verbs(new Schemas))->ask('plan', (object) ['shelf' => $shelf, 'handset' => 'h', 'craft' => 'z', 'channels' => 6]);
        array_push($codes, ...array_column($answer['nearest_miss']['misses'] ?? [], 'code'));
    }
    $codes = array_unique([...$codes, 'M1', 'M3', 'M8', 'M9', 'M10', 'M11', 'M12', 'M14', 'M15', 'P1']);
    expect(count($codes))->toBeGreaterThan(9);
    foreach ($codes as $code) {
        $text = Miss::of(Code::from($code), 'Left box', 'Right box');
        expect($text->code->value)->toBe($code)->and($text->message)->toContain('Left box')->and($text->change)->not->toBe('');
    }
});

it('undoes and redoes as far as the history goes, whatever the steps', function () {
    mt_srand(72);
    for ($run = 0; $run < 40; $run++) {
        $document = DemoRigs::get('dunlin')->document;
        [$entries, $states] = [[], [$document]];
        // Changes in random places, then taken back one after the other.
        for ($k = 0; $k < 12; $k++) {
            [$place, $value] = [['settings.memory', mt_rand(1, 30)], ['settings.order', ['AETR', 'TAER', 'RTEA'][mt_rand(0, 2)]], ['settings.stick_mode', mt_rand(1, 4)], ['craft.note', 'note '.mt_rand()]][mt_rand(0, 3)];
            $done = (mt_rand(0, 3) === 0 ? RigPatch::of([], [$place]) : RigPatch::of([$place => $value]))->apply($document);
            $entries[] = (object) ['kind' => 'change', 'before' => $done->before, 'after' => $done->after];
            $document = $done->document;
            $states[] = $document;
        }
        for ($k = 11; $k >= 0; $k--) {
            $log = new RigLog($entries);
            expect($log->lastStanding())->toBe($k);
            $back = $log->takingBack($k, $document)->apply($document);
            $document = $back->document;
            expect(RigPatch::same($document, $states[$k]))->toBeTrue();
            $entries[] = (object) ['kind' => 'undo', 'undoes' => $k, 'before' => $back->before, 'after' => $back->after];
        }
        expect((new RigLog($entries))->lastStanding())->toBeNull();
        // Taking the last undo back is doing the first change again.
        $again = (new RigLog($entries))->takingBack(count($entries) - 1, $document)->apply($document);
        expect(RigPatch::same($again->document, $states[1]))->toBeTrue();
        $entries[] = (object) ['kind' => 'undo', 'undoes' => count($entries) - 1, 'before' => $again->before, 'after' => $again->after];
        expect((new RigLog($entries))->isStanding(0))->toBeTrue()->and((new RigLog($entries))->lastStanding())->toBe(0);
    }
});

it('does not take back what has been changed again, what changed nothing, and what is not there', function () {
    $first = RigPatch::of(['settings.memory' => 3])->apply(DemoRigs::get('dunlin')->document);
    $second = RigPatch::of(['settings.memory' => 4])->apply($first->document);
    $log = new RigLog([
        (object) ['kind' => 'change', 'before' => $first->before, 'after' => $first->after],
        (object) ['kind' => 'note', 'text' => 'calm'],
        (object) ['kind' => 'change', 'before' => $second->before, 'after' => $second->after],
    ]);
    foreach ([[0, 'changed_since', 'settings.memory'], [1, 'nothing_to_undo', ''], [3, 'no_such_entry', '3'], [-1, 'no_such_entry', '']] as [$position, $code, $words]) {
        expect(fn () => $log->takingBack($position, $second->document))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe($code)->and($error->getMessage())->toContain($words));
    }
});

it('names places and values as a person reads them', function (string $place, mixed $value, string $name, string $shown) {
    expect(PlaceNames::of($place))->toBe($name)->and(PlaceNames::value($place, $value))->toBe($shown);
})->with([
    ['settings.memory', null, 'Model memory', 'not set'],
    ['craft.indoors', true, 'Stays in one room', 'yes'],
    ['craft.indoors', false, 'Stays in one room', 'no'],
    ['settings.power_mw', 25, 'Power', '25'],
    ['settings.done.rig/wiring', 'f00', 'Done: rig/wiring', 'f00'],
    ['path.allow_relay', 2.5, 'Path: allow relay', '2.5'],
    ['settings.timer_s', 'x', 'Timer s', 'x'],
    'chain' => ['chain', [(object) ['name' => 'A'], (object) ['id' => 'b']], 'Chain', 'A → ?'],
    'channels' => ['settings.channels', [(object) ['channel' => 1, 'lo_pct' => 97.7, 'hi_pct' => 100, 'subtrim' => -3, 'reversed' => true], (object) ['channel' => 2]], 'Ends, sub-trims, directions', '1: 97.7 / 100 %, -3, reversed; 2: – / – %, –'],
    'long text' => ['craft.note', str_repeat('é', 300), 'What it is', str_repeat('é', 239).'…'],
]);
