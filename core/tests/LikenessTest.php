<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Likeness\LikeLine;
use Linguator\Core\Likeness\LikePartKey;
use Linguator\Core\Likeness\LikeThat;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Tests\DemoRigs;

function likeLines(RigDocument $rig, RigDocument $other, LikePartKey $part): array
{
    return array_column($part->of($rig, $other)->lines(), null, 'key');
}

function likeTaken(RigDocument $rig, RigDocument $other, LikePartKey $part): RigDocument
{
    $keys = array_column($part->of($rig, $other)->lines(), 'key');

    return DemoRigs::changed($rig, (new LikeThat($rig, $other))->taking($part, $keys)->patch);
}

/** The Dunlin, with its arming moved to channel 8 and on another switch, and its rates plain. */
function likeDunlin(): RigDocument
{
    $functions = array_map(static function (stdClass $entry): stdClass {
        $copy = clone $entry;
        $copy->channel = $copy->function === 'arm' ? 8 : $copy->channel;

        return $copy;
    }, DemoRigs::get('dunlin')->document->craft->functions);
    $switches = json_decode('[{"function":"arm","channel":8,"switch":"R1","levels_us":[990,2010]},{"function":"mode","channel":6,"switch":"L2"}]');
    $windows = json_decode('[{"name":"armed","channel":8,"lo":1500,"hi":1900,"wanted":[2]},{"name":"level","channel":6,"lo":900,"hi":1300,"wanted":[1]}]');
    $channels = json_decode('[{"channel":1,"ends_us":[990,1500,2010]}]');

    return DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['craft.functions' => $functions, 'settings.switches' => $switches, 'settings.windows' => $windows, 'settings.channels' => $channels], ['settings.told']));
}

it('says nothing of a rig beside itself, whatever the part', function (string $name) {
    $rig = DemoRigs::get($name);
    foreach ((new LikeThat($rig, $rig))->parts() as $part) {
        expect($part->lines)->toBe([])->and($part->part->of($rig, $rig)->title())->toBe($part->title);
    }
})->with(['avocet', 'dunlin', 'mudlark', 'sanderling', 'oystercatcher']);

it('takes over all that it shows: afterwards nothing differs any more, and everything else is as it was', function (LikePartKey $part) {
    $other = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['settings.told' => (object) ['throttle_cut' => 'R1 back', 'timer_min' => 6.0, 'sensors' => 'pack', 'mixes_removed' => 'all']]));
    $rig = likeDunlin();
    expect(likeLines($rig, $other, $part))->not->toBe([]);
    $after = likeTaken($rig, $other, $part);
    expect(likeLines($after, $other, $part))->toBe([]);
    $without = static function (RigDocument $rig): array {
        $settings = (array) clone $rig->settings()->value;
        unset($settings['switches'], $settings['windows'], $settings['channels'], $settings['told']);

        return [$settings, $rig->document->craft, $rig->document->chain, $rig->document->measurements ?? null, $rig->document->checks ?? null];
    };
    expect($without($after))->toEqual($without($rig));
})->with(LikePartKey::cases());

it('keeps the channels of this rig, and does not take what was read there', function () {
    [$rig, $other] = [likeDunlin(), DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['settings.switches' => json_decode('[{"function":"arm","channel":5,"switch":"L1","levels_us":[991,2009]}]')]))];
    $after = likeTaken($rig, $other, LikePartKey::Switches);
    expect((array) $after->switchOf('arm')?->node()->value)->toEqual(['function' => 'arm', 'channel' => 8, 'switch' => 'L1'])
        ->and($after->switchOf('mode')?->switchId)->toBe('L2');
    $windows = likeTaken($rig, DemoRigs::get('dunlin'), LikePartKey::Windows)->windows();
    expect(array_map(static fn ($entry): array => [$entry->window->name, $entry->channel, $entry->window->lo], $windows))
        ->toBe([['arm', 8, 1700.0], ['level', 6, 900.0], ['hold', 6, 1480.0], ['return', 6, 1750.0]]);
});

it('takes one line alone, and says both sides of it in words', function () {
    [$rig, $other] = [likeDunlin(), DemoRigs::get('dunlin')];
    $lines = likeLines($rig, $other, LikePartKey::Rates);
    expect($lines['aileron'])->toEqual(new LikeLine('aileron', 'aileron', 'rate 100 %, expo 0 %', 'rate 80 %, expo 15 %'))
        ->and(array_keys($lines))->toBe(['aileron', 'elevator']);
    $deed = (new LikeThat($rig, $other))->taking(LikePartKey::Rates, ['aileron']);
    $after = DemoRigs::changed($rig, $deed->patch);
    expect($deed->sentence)->toBe('As in Dunlin: rates and expo (aileron)')
        ->and(array_keys(likeLines($after, $other, LikePartKey::Rates)))->toBe(['elevator'])
        ->and($after->settings()->nodes('channels')[0]->numbersOrNull('ends_us'))->toBe([990.0, 1500.0, 2010.0]);
});

it('says what cannot be taken, and why', function () {
    $plane = DemoRigs::get('avocet');
    $left = LikePartKey::Switches->of($plane, DemoRigs::get('dunlin'))->leftOut();
    expect($left)->toContain('mode: this craft has no such function.');
    $other = DemoRigs::changed(likeDunlin(), RigPatch::of(['settings.switches' => json_decode('[{"function":"arm","channel":8,"switch":"Z9"},{"function":"mode","channel":6}]')]));
    expect(LikePartKey::Switches->of(DemoRigs::get('dunlin'), $other)->leftOut())->toBe(["arm: this handset's card has no Z9.", 'mode: it is on no switch there.']);
    $bare = DemoRigs::changed(likeDunlin(), RigPatch::of([], ['settings.switches']));
    expect(LikePartKey::Windows->of($bare, likeDunlin())->leftOut())->toContain('arm: on no switch of this rig. Take over its switch first.');
});

it('never copies what somebody did in one memory only', function () {
    $other = DemoRigs::changed(likeDunlin(), RigPatch::of(['settings.told' => (object) ['mixes_removed' => 'all of them', 'extended_limits' => true, 'set_up_rate' => '22 ms']]));
    expect(likeLines(likeDunlin(), $other, LikePartKey::Preparation))->toBe([]);
});

it('refuses a line that does not differ, and nothing at all', function (array $keys, string $at) {
    $like = new LikeThat(likeDunlin(), DemoRigs::get('dunlin'));
    expect(fn () => $like->taking(LikePartKey::Rates, $keys))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($at));
})->with(['none' => [[], 'keys'], 'the throttle' => [['aileron', 'throttle'], 'keys.1'], 'a stranger' => [['wings'], 'keys.0']]);
