<?php

declare(strict_types=1);

use Linguator\Core\Bench\Intents;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Finding\Code;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Switches\SetSwitch;
use Linguator\Core\Steps\Switches\SwitchReview;
use Linguator\Core\Steps\Travel\CopySettings;
use Linguator\Core\Steps\Travel\ReverseChannel;
use Linguator\Core\Steps\Travel\SetTarget;
use Linguator\Core\Steps\Travel\TakeSettings;
use Linguator\Core\Steps\Travel\TravelDrafts;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Steps\Travel\TravelState;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\SubtrimModel;

/** What a person means, as a screen sends it. */
function tells(RigDocument $rig, string $intent, array $told): RigDocument
{
    $deed = Intents::ALL[$intent]::read(new Node(json_decode((string) json_encode($told))))->on($rig, new Occasion('2026-11-24T10:00:00Z', DemoRigs::shelf()));

    return DemoRigs::changed($rig, $deed->patch);
}

/** Dunlin without a reading. */
function unread(): RigDocument
{
    return DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['measurements' => [], 'settings.channels' => []]));
}

it('takes the truthful reading of a reversed stick as what it is', function (bool $isSet) {
    $rig = DemoRigs::changed(unread(), RigPatch::of(['settings.channels' => [(object) ['channel' => 2, 'reversed' => $isSet]]]));
    $drafts = TravelDrafts::of($rig, (object) [2 => (object) ['lo' => 1899, 'mid' => 1500, 'hi' => 1101]]);
    expect($drafts->sound)->toBe([])->and($drafts->problems[2]->isReversed)->toBeTrue()->and($drafts->problems[2]->message)->toContain($isSet ? 'as it is set' : 'turned round in the handset');
    $kept = tells($rig, 'keep-reading', ['channel' => 2, 'lo' => 1899, 'mid' => 1500, 'hi' => 1101, 'reversed' => true]);
    $row = (new TravelReview($kept))->row(2);
    expect($row->last()->reading->values())->toBe([1101.0, 1500.0, 1899.0])->and($row->now()->reversed)->toBeTrue();
    // What was read with it turned round is confirmed or computed; what is turned round since is to be read again.
    expect($row->last()->with->reversed)->toBe($isSet);
    expect(fn () => tells($rig, 'keep-reading', ['channel' => 2, 'lo' => 1101, 'mid' => 1500, 'hi' => 1899, 'reversed' => true]))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('mid'));
    // Neither rising nor falling is a mistake, and no reversal.
    expect(TravelDrafts::of($rig, (object) [2 => (object) ['lo' => 1500, 'mid' => 1100, 'hi' => 1900]])->problems[2]->isReversed)->toBeFalse();
})->with([false, true]);

it('suggests thresholds only from a throttle that stays as it is, in whole µs, and a dead band that the centres need', function () {
    $rig = DemoRigs::get('dunlin');
    $view = (new TravelReview($rig))->thresholds();
    expect([$view->suggested->low, $view->suggested->high, $view->suggested->deadband])->toBe([null, null, null])->and($view->waitsFor)->not->toBeNull();
    expect(array_filter(array_map(fn ($finding) => $finding->change, $view->findings->all), fn (string $change): bool => str_contains($change, '1095')))->toBe([]);
    foreach ([1 => [1000.2, 1500.0, 2000.0], 2 => [1000.0, 1500.0, 2000.0], 3 => [1000.4, 1545.0, 1999.7], 4 => [1000.0, 1501.2, 2000.0]] as $channel => $values) {
        $rig = tells($rig, 'keep-reading', ['channel' => $channel, 'lo' => $values[0], 'mid' => $values[1], 'hi' => $values[2]]);
    }
    $view = (new TravelReview($rig))->thresholds();
    // Centred in the controller, a stick may rest further off: the dead band must hold it.
    $off = tells(DemoRigs::changed($rig, RigPatch::of(['settings.centring' => 'controller'])), 'keep-reading', ['channel' => 4, 'lo' => 1000, 'mid' => 1507.3, 'hi' => 2000]);
    expect((new TravelReview($off))->thresholds()->suggested->deadband)->toBe(8.0);
    expect([$view->suggested->low, $view->suggested->high])->toBe([1010.0, 1990.0])->and($view->waitsFor)->toBeNull()->and($view->suggested->deadband)->toBe(2.0);
});

it('offers what is set for one stick to the others that are not read, the throttle too', function () {
    $rig = tells(unread(), 'keep-reading', ['channel' => 1, 'lo' => 988, 'mid' => 1512, 'hi' => 2012]);
    $review = new TravelReview($rig);
    expect($review->copiesTo($review->row(1)))->toBe([]);
    $rig = DemoRigs::did($rig, new TakeSettings([1]));
    $review = new TravelReview($rig);
    expect($review->copiesTo($review->row(1)))->toBe([2, 3, 4])->and($review->copiesTo($review->row(2)))->toBe([]);
    $copied = DemoRigs::did($rig, new CopySettings(1, [2, 3, 4]));
    [$from, $elevator, $throttle] = array_map(fn (int $channel): ChannelSettings => (new ChannelRecord($copied, $channel))->now(), [1, 2, 3]);
    expect($elevator->equals($from))->toBeTrue()->and($from->subtrim)->not->toBe(0.0)
        // A throttle has no spring: its ends are copied, its sub-trim is its own.
        ->and([$throttle->loPct, $throttle->hiPct, $throttle->subtrim])->toBe([$from->loPct, $from->hiPct, 0.0])
        ->and((new ChannelRecord($copied, 3))->ends())->toBeNull();
    expect(fn () => DemoRigs::did($rig, new CopySettings(1, [2, 9])))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('to.1'));
});

it('aims where somebody wants it to, inside what the servo stands', function () {
    $rig = DemoRigs::did(DemoRigs::get('avocet'), new SetTarget(1, Reading::of(1100.0, 1500.0, 1900.0)));
    $row = (new TravelReview($rig))->row(1);
    expect($row->target->values())->toBe([1100.0, 1500.0, 1900.0])->and($row->state())->toBe(TravelState::Residue);
    expect(fn () => DemoRigs::did($rig, new SetTarget(1, Reading::of(1000.0, 1500.0, 1900.0))))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('lo'));
    expect(fn () => DemoRigs::did($rig, new SetTarget(1, Reading::of(1100.0, 1500.0, 1990.0))))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('hi'));
    expect(fn () => tells($rig, 'set-target', ['channel' => 1, 'lo' => 1100]))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('mid'));
    expect((new TravelReview(DemoRigs::did($rig, new SetTarget(1, null))))->row(1)->state())->toBe(TravelState::Confirmed);
});

it('shows the throw of a rate with the ends in force', function () {
    $rates = fn (RigDocument $rig): array => array_column((new SwitchReview($rig))->rates(), null, 'channel');
    // Read: 988 to 2012 around 1518; nothing read: 78 % of 512 is 399.4.
    $rudder = $rates(DemoRigs::get('dunlin'))[4];
    expect([$rudder->throwUs->lo, $rudder->throwUs->hi])->toBe([530.0, 494.0]);
    $set = DemoRigs::changed(unread(), RigPatch::of(['settings.channels' => [(object) ['channel' => 2, 'lo_pct' => 78, 'hi_pct' => 78, 'rate_pct' => 100, 'low_rate_pct' => 50]]]));
    $row = $rates($set)[2];
    expect([$row->throwUs->lo, $row->throwUs->hi, $row->lowThrowUs->hi])->toBe([399.4, 399.4, 199.7])
        ->and($row->curve[0]->us)->toEqualWithDelta(1100.64, 0.01)->and($row->curve[40]->us)->toEqualWithDelta(1899.36, 0.01);
});

it('sends a switch through ends, sub-trim and direction of its channel, as a stick is', function (SubtrimModel $model, array $set, float $share, float $us) {
    $handset = new HandsetTravel(150.0, 0.1, $model, 1.0, 1.0);
    $with = new ChannelSettings(...$set);
    $gimbal = Gimbal::nominal($handset, new Scale(1500.0, 500.0));
    expect($gimbal->at($with, $share))->toEqualWithDelta($us, 1e-9);
    // At its ends and in the middle it is what a stick reads there.
    if (! $with->reversed) {
        $read = $gimbal->predict($with);
        expect([$gimbal->at($with, -1.0), $gimbal->at($with, 0.0), $gimbal->at($with, 1.0)])->toEqualWithDelta([$read->lo, $read->mid, $read->hi], 1e-9);
    }
})->with([
    'plain' => [SubtrimModel::After, [100.0, 100.0, 0.0], 0.5, 1750.0],
    'ends' => [SubtrimModel::After, [80.0, 60.0, 0.0], -0.5, 1300.0],
    'sub-trim shifts all' => [SubtrimModel::After, [100.0, 100.0, 20.0], -1.0, 1020.0],
    'sub-trim turns about the ends' => [SubtrimModel::Pivot, [100.0, 100.0, 20.0], 0.5, 1760.0],
    'sub-trim before the ends' => [SubtrimModel::Before, [100.0, 80.0, 10.0], 0.5, 1740.0],
    'reversed' => [SubtrimModel::After, [80.0, 60.0, 10.0, true], 1.0, 1110.0],
    'beyond full' => [SubtrimModel::After, [100.0, 100.0, 0.0], 1.5, 2250.0],
]);

it('turns a servo on a switch round, and judges what it then sends', function () {
    $rig = DemoRigs::did(DemoRigs::get('avocet'), new ReverseChannel(6));
    $levels = fn (RigDocument $one): array => array_column((new SwitchReview($one))->rows()[0]->levels, 'us');
    expect($levels($rig))->toEqualWithDelta(array_map(fn (float $us): float => 3000.0 - $us, $levels(DemoRigs::get('avocet'))), 1e-9);
    expect(fn () => DemoRigs::did($rig, new ReverseChannel(9)))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('channel'));
});

it('shows a servo on a switch in the travel step, with what it stands and which way round it goes', function () {
    $shown = fn (RigDocument $rig): array => (new TravelReview($rig))->shown()->switched;
    $flap = $shown(DemoRigs::get('avocet'))[0];
    expect([$flap->channel, $flap->function, $flap->switch, $flap->isRead, $flap->now->reversed, $flap->safe->lo, $flap->safe->hi])->toBe([6, 'flap', 'R2', false, false, 1050.0, 1950.0])
        ->and(array_column($flap->levels, 'us'))->toEqualWithDelta([1500.0, 1277.0, 1054.0], 1.0)
        ->and(count($flap->findings))->toBe(0);
    $rig = DemoRigs::did(DemoRigs::did(DemoRigs::get('avocet'), new ReverseChannel(6)), new SetSwitch('flap', new Node((object) ['function' => 'flap', 'weight' => 100])));
    $flap = $shown($rig)[0];
    expect($flap->now->reversed)->toBeTrue()->and(array_column($flap->findings->all, 'code'))->toBe([Code::T1])->and($shown(DemoRigs::get('mudlark')))->toBe([]);
});
