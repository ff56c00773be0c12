<?php

declare(strict_types=1);

use Linguator\Core\Bench\Duplicate;
use Linguator\Core\Bench\Intents;
use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Readiness\LeaveAsIs;
use Linguator\Core\Readiness\SignOff;
use Linguator\Core\Readiness\TakeUpAgain;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Travel\KeepReading;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\IntentExamples;
use Linguator\Core\Travel\Reading;

/** A rig on which everything holds, with these settings put otherwise and everything proven again. */
function openAgain(array $set = [], array $clear = []): RigDocument
{
    return DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of((array) json_decode(json_encode($set)), $clear));
}

/** @return array<string, string> Sentences of what is open, by place. */
function openWork(RigDocument $rig): array
{
    return array_column(DemoRigs::readiness($rig)->leftovers()->open()->all, 'sentence', 'what');
}

/** One verdict: the step marks, the one sentence, the sheet and the sign-off cannot contradict each other. */
function mustAgree(RigDocument $rig, string $after): void
{
    $review = new RigReview($rig);
    $readiness = $review->readiness;
    $verdict = $review->verdict;
    $states = [];
    foreach ($verdict->steps as $step) {
        $states[$step->key->value] = $step->state->value;
    }
    $before = array_slice($states, 0, -1, true);
    $isSigned = $readiness->signOff()->holds();
    expect($verdict->next->label === 'Ready')->toBe($readiness->isReady() && $isSigned, "$after: label")
        ->and($verdict->next->label === 'Do not power')->toBe(in_array('stop', $states, true), "$after: stop")
        ->and($readiness->stops() !== [])->toBe(in_array('stop', $before, true), "$after: stops ".json_encode([$readiness->stops(), $states]))
        ->and($readiness->refusals() === [])->toBe($readiness->isReady(), "$after: refusals");
    if ($readiness->isReady()) {
        expect(array_unique(array_values($before)))->toBe(['done'], "$after: ready, but ".json_encode($before));
    }
    if ($isSigned) {
        expect($readiness->isReady())->toBeTrue("$after: signed off, and not ready");
    }
    $sheet = $review->shown()->sheet;
    if ($sheet !== []) {
        expect([$sheet[0]->title, $sheet[0]->rows[0]->label, $sheet[0]->rows[0]->value])->toBe(['State', $verdict->next->label, $verdict->next->sentence], $after);
    }
}

it('is not ready while a stick was never read, a calibration never made, a wire not said, a switch not chosen or a gap too short', function (array $set, array $clear, array $open) {
    $rig = openAgain($set, $clear);
    expect(openWork($rig))->toMatchArray($open);
    $readiness = DemoRigs::readiness($rig);
    expect($readiness->isReady())->toBeFalse()->and($readiness->signOff()->holds())->toBeFalse();
    expect(fn () => DemoRigs::did($rig, new SignOff('Wren')))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe('not_ready')->and($error->getMessage())->toContain(reset($open)));
    mustAgree($rig, 'open again');
})->with([
    'sticks' => [['measurements' => []], [], ['travel/1' => 'Read aileron at both ends and at rest.', 'travel/3' => 'Read throttle at both ends and at rest.']],
    'calibration' => [['settings.done.handset/calibration' => false], [], ['travel/calibration' => 'Nobody has said that the sticks of the handset are calibrated.']],
    'wires' => [[], ['settings.done.rig/wiring'], ['wiring/table' => 'Wire it as in the table.']],
    'a switch' => [['craft.functions' => [['function' => 'aileron', 'channel' => 1], ['function' => 'elevator', 'channel' => 2], ['function' => 'throttle', 'channel' => 3], ['function' => 'rudder', 'channel' => 4], ['function' => 'flap', 'channel' => 6], ['function' => 'camera', 'channel' => 7]]], [], ['switches/camera' => 'Choose a switch for camera.']],
    'a setting' => [[], ['settings.done.ostrel-9/internal_radio'], ['path/ostrel-9/internal_radio' => 'Ostrel 9: set Own aerial to off.']],
]);

it('leaves nothing of a gap too short unsaid', function () {
    expect(openWork(DemoRigs::get('mudlark')))->toContain('The pulse train of Weft R8t has no room for its gap: 18 ms is too short.');
});

it('may be left as it is by name and reason, is then ready with it, and says so everywhere', function () {
    $rig = openAgain(['settings.done.handset/calibration' => false]);
    $left = DemoRigs::did($rig, new LeaveAsIs('travel/calibration', 'no menu for it on this handset', 'Wren'), '2026-11-24T10:00:00Z');
    $review = DemoRigs::review($left);
    $travel = array_column($review['steps'], null, 'key')['travel'];
    expect($travel)->toMatchArray(['state' => 'done', 'note' => 'Left as it is: Nobody has said that the sticks of the handset are calibrated.'])
        ->and($review['readiness']['ready'])->toBeTrue()
        // What was left since was not there when it was signed off.
        ->and($review['readiness']['sign_off'])->toMatchArray(['state' => 'stale', 'reasons' => ['something was left as it is since']])
        ->and($review['next']['label'])->toBe('Ready to sign off');
    $signed = DemoRigs::did($left, new SignOff('Wren'), '2026-11-24T11:00:00Z');
    $next = DemoRigs::review($signed)['next'];
    expect($next)->toMatchArray(['label' => 'Ready', 'sentence' => 'Signed off on 24 Nov 2026, with one thing left as it is.']);
    $rows = array_column(array_column(DemoRigs::review($signed)['sheet'], 'rows', 'title')['Left as it is'], 'value', 'label');
    expect($rows)->toBe(['Travel' => 'Nobody has said that the sticks of the handset are calibrated. no menu for it on this handset (Wren, 24 Nov 2026)']);
    expect((new SignOff('Wren'))->on($left, new Occasion('2026-11-24T11:00:00Z', DemoRigs::shelf()))->sentence)->toBe('Signed off by Wren; left as it is: Nobody has said that the sticks of the handset are calibrated');
    $again = DemoRigs::did($signed, new TakeUpAgain('travel/calibration'));
    expect(openWork($again))->toHaveKey('travel/calibration')->and(DemoRigs::readiness($again)->signOff()->reasons)->toBe(['a step is not done any more']);
    foreach ([$rig, $left, $signed, $again] as $k => $one) {
        mustAgree($one, "moment $k");
    }
});

it('opens again what is another thing than the one that was left', function () {
    $read = fn (RigDocument $rig, float $lo): RigDocument => DemoRigs::did($rig, new KeepReading(3, Reading::of($lo, 1500.0, 2000.0), null, 'servo tester', ''));
    $off = $read(DemoRigs::get('avocet'), 1012.0);
    expect(openWork($off)['travel/3'])->toBe('Throttle is 12 µs off; the settings that mend it are computed.');
    $left = DemoRigs::did($off, new LeaveAsIs('travel/3', 'the speed controller was taught it', 'Wren'));
    expect(openWork($left))->not->toHaveKey('travel/3');
    expect(openWork($read($left, 1040.0))['travel/3'])->toContain('40 µs off');
    // And a second rig of the same settings is another craft: nothing of it was left.
    $second = RigDocument::of((new Duplicate('Second', null))->of($left, new Occasion('2026-11-24T10:00:00Z', DemoRigs::shelf())));
    expect(openWork($second))->toHaveKey('travel/3')->and($second->settings()->has('left'))->toBeFalse();
});

it('leaves nothing without a reason and a name, nothing that is not open, and no stop', function (string $what, string $reason, string $by, string $path) {
    $rig = openAgain(['settings.done.handset/calibration' => false]);
    expect(fn () => DemoRigs::did($rig, new LeaveAsIs($what, $reason, $by)))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'no reason' => ['travel/calibration', '', 'Wren', 'reason'],
    'nobody' => ['travel/calibration', 'none here', '', 'by'],
    'what is done' => ['wiring/table', 'fine', 'Wren', 'what'],
]);

it('cannot leave what must not be powered', function () {
    $rig = DemoRigs::get('sanderling');
    expect(array_filter(openWork($rig), fn (string $sentence): bool => str_contains($sentence, 'too far')))->toBe([])
        ->and(DemoRigs::readiness($rig)->stops())->toContain('The aileron servo is driven 112 µs too far.');
    expect(fn () => DemoRigs::did($rig, new TakeUpAgain('travel/1')))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('what'));
});

it('gives one verdict after any sequence of what people do, and undo gives the document before it', function (int $seed) {
    mt_srand($seed);
    $rig = DemoRigs::get(['avocet', 'dunlin', 'mudlark', 'sanderling', 'oystercatcher'][$seed % 5]);
    $course = [];
    for ($k = 0; $k < 12; $k++) {
        [, $intent, $told] = IntentExamples::ALL[mt_rand(0, count(IntentExamples::ALL) - 1)];
        $open = DemoRigs::readiness($rig)->leftovers()->open()->all;
        if ($open !== [] && mt_rand(0, 2) === 0) {
            [$intent, $told] = ['leave-as-is', ['what' => $open[0]->what, 'reason' => 'on purpose', 'by' => 'Wren']];
        }
        try {
            $deed = Intents::ALL[$intent]::read(new Node((object) json_decode((string) json_encode($told))))->on($rig, new Occasion('2026-11-24T10:00:00Z', DemoRigs::shelf()));
            $result = $deed->patch->apply($rig->document);
            $changed = DemoRigs::changed($rig, $deed->patch);
        } catch (DocumentError) {
            continue;
        }
        $back = RigPatch::takingBack($result->before, $result->after, array_map(Linguator\Core\Rig\ListChange::takingBack(...), $result->lists))->apply($changed->document)->document;
        $course[] = $intent;
        expect(withoutEmpty($back))->toEqual(withoutEmpty($rig->document), implode(', ', $course));
        $rig = $changed;
        mustAgree($rig, "seed $seed: ".implode(', ', $course));
    }
})->with(range(1, 20));

/** The document as plain arrays; an object that was left empty is as good as none. */
function withoutEmpty(mixed $value): mixed
{
    if (! is_object($value) && ! is_array($value)) {
        return is_int($value) ? (float) $value : $value;
    }

    return array_filter(array_map(withoutEmpty(...), (array) $value), static fn (mixed $one): bool => $one !== []);
}

it('takes no check as made without an observation or a person', function () {
    $make = fn (string $observed, string $by): RigDocument => DemoRigs::did(DemoRigs::get('avocet'), new Linguator\Core\Readiness\MakeCheck(Linguator\Core\Proof\CheckKind::Range, true, $observed, $by));
    expect(fn () => $make('', 'Wren'))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('observed'))
        ->and(fn () => $make('all answered', ''))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('by'));
});

it('tells days by the clock that it is told, and by UTC without one', function () {
    $day = fn (?string $zone): array => [Linguator\Core\Rig\Day::by($zone), Linguator\Core\Rig\Day::of('2026-11-03T11:52:00Z'), Linguator\Core\Rig\Day::begins('2026-11-03')];
    try {
        expect($day('Pacific/Kiritimati'))->toBe([null, '4 Nov 2026', '2026-11-02T10:00:00Z'])
            ->and($day('nowhere'))->toBe([null, '3 Nov 2026', '2026-11-03T00:00:00Z'])
            ->and($day(null)[1])->toBe('3 Nov 2026');
        Linguator\Core\Rig\Day::by('America/New_York', Linguator\Core\Rig\DayForm::MonthFirst);
        expect(Linguator\Core\Rig\Day::of('2026-11-03T03:52:00Z'))->toBe('Nov 2, 2026')
            ->and(Linguator\Core\Rig\Day::of('not a day'))->toBe('a day not recorded')
            ->and($day(null)[1])->toBe('3 Nov 2026');
    } finally {
        Linguator\Core\Rig\Day::by(null);
    }
});

it('keeps days as marks, to be told by another clock', function () {
    $day = Linguator\Core\Rig\Day::class;
    $kept = $day::marked(static fn (): string => 'Signed off on '.$day::of('2026-11-03T11:52:00Z').', once '.$day::of(null).'.');
    try {
        $day::by('Pacific/Kiritimati', Linguator\Core\Rig\DayForm::MonthFirst);
        expect($day::told($kept))->toBe('Signed off on Nov 4, 2026, once a day not recorded.');
        $day::by(null);
        expect($day::told($kept))->toBe('Signed off on 3 Nov 2026, once a day not recorded.')
            ->and($day::of('2026-11-03T11:52:00Z'))->toBe('3 Nov 2026')
            ->and(fn () => $day::marked(static fn () => throw new LogicException('broken')))->toThrow(LogicException::class)
            ->and($day::of('2026-11-03T11:52:00Z'))->toBe('3 Nov 2026');
    } finally {
        $day::by(null);
    }
});

it('leaves work as it is whatever the function is called, and never mixes two names up', function () {
    $place = fn (string $name): string => Leftover::open(StepKey::Switches, $name, 'Choose a switch.')->what;
    expect($place('left flap'))->toMatch('~^switches/left-flap-[0-9a-f]{6}$~')->and($place('left flap'))->not->toBe($place('left-flap'))->and($place('left-flap'))->toBe('switches/left-flap')
        ->and($place('Flügel'))->toMatch('~^[a-z-]+/[a-z0-9_/-]+$~');
});
