<?php

declare(strict_types=1);

use Linguator\Core\Bench\RigSteady;
use Linguator\Core\Bench\SteadyRehearsal;
use Linguator\Core\Channel\AxisRead;
use Linguator\Core\Channel\AxisState;
use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Dance\SignKind;
use Linguator\Core\Dance\Signs;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Tests\BenchRigs;

/** Rows every 20 ms of one channel that stays where it is told, each for so many ms. */
function signLog(array ...$stays): ChannelLog
{
    $values = array_merge(...array_map(static fn (array $stay): array => array_fill(0, (int) ($stay[1] / 20), [(float) $stay[0]]), $stays));

    return ChannelLog::fromRows(array_map(static fn (int $k): float => 20.0 * $k, array_keys($values)), $values);
}

function knownRudder(bool $isReversed = false): Node
{
    return new Node((object) ['letter' => 'R', 'channel' => 1, 'lo' => 1000.0, 'mid' => 1500.0, 'hi' => 2000.0, 'reversed' => $isReversed]);
}

it('hears a stick that is held: skip, again and stop, when it is back, and only since the move was asked for', function (array $stays, ?SignKind $kind, bool $isOver) {
    $sign = (new Signs([knownRudder()], Letter::Elevator))->said(signLog(...$stays), 0.0);
    expect($sign?->kind)->toBe($kind)->and($sign->isOver ?? false)->toBe($isOver);
})->with([
    'nothing' => [[[1500, 3000]], null, false],
    'right, and back' => [[[1500, 500], [1990, 1700], [1500, 200]], SignKind::Skip, true],
    'right, still held' => [[[1500, 500], [1990, 1700]], SignKind::Skip, false],
    'left, and back' => [[[1500, 500], [1010, 1700], [1500, 200]], SignKind::Again, true],
    'held on: the end' => [[[1500, 500], [1010, 4100]], SignKind::Stop, true],
    'too short' => [[[1500, 500], [1990, 1300], [1500, 200]], null, false],
    'not to its end' => [[[1500, 500], [1850, 3000], [1500, 200]], null, false],
    'a move: to both ends' => [[[1500, 500], [1990, 1700], [1010, 1700], [1500, 200]], null, false],
]);

it('knows when it left and when it was back, so that this can be taken out', function () {
    $sign = (new Signs([knownRudder()], null))->said(signLog([1500, 500], [1990, 1700], [1500, 200]), 0.0)?->jsonSerialize();
    expect($sign)->toEqual((object) ['says' => 'skip', 'from_ms' => 480.0, 'to_ms' => 2200.0, 'is_over' => true]);
});

it('takes no sign from the stick that is asked for, from before it was asked, from a throttle, or from a channel that is not there', function () {
    $log = signLog([1500, 500], [1990, 1700], [1500, 200]);
    expect((new Signs([knownRudder()], Letter::Rudder))->said($log, 0.0))->toBeNull()
        ->and((new Signs([knownRudder()], Letter::Aileron))->said($log, 600.0))->toBeNull()
        ->and((new Signs([new Node((object) ['letter' => 'T', 'channel' => 1, 'lo' => 1000.0, 'mid' => null, 'hi' => 2000.0])], null))->said($log, 0.0))->toBeNull()
        ->and((new Signs([new Node((object) ['letter' => 'R', 'channel' => 7, 'lo' => 1000.0, 'mid' => 1500.0, 'hi' => 2000.0])], null))->said($log, 0.0))->toBeNull();
});

it('means the way the hand goes: a reversed stick held right is low on the wire and still skips', function () {
    $signs = new Signs([knownRudder(true)], null);
    expect($signs->said(signLog([1500, 500], [1010, 1700], [1500, 200]), 0.0)?->kind)->toBe(SignKind::Skip)
        ->and($signs->words())->toBe('No hand free? Hold the rudder right for 1.5 s to skip this, left to be asked once more, for 4 s to stop.')
        ->and((new Signs([knownRudder()], Letter::Rudder))->words())->toBeNull();
});

/** Rows every 20 ms of an axis, percent. */
function axisState(array ...$stays): AxisRead
{
    return AxisRead::all(signLog(...$stays))[0];
}

it('judges a calibration by the ends and the middle of an axis, and not before it was moved and let go of', function (array $stays, AxisState $state, string $says) {
    $axis = axisState(...$stays);
    expect($axis->state)->toBe($state)->and($axis->says())->toContain($says);
})->with([
    'untouched' => [[[0, 1000]], AxisState::Unmoved, 'Not moved'],
    'still at an end' => [[[0, 600], [-100, 600], [100, 200]], AxisState::Moving, 'Let it go'],
    'well' => [[[0, 600], [-100, 600], [100, 600], [0.4, 600]], AxisState::Well, 'comes back to the middle'],
    'a throttle' => [[[-100, 600], [100, 600], [-100, 600]], AxisState::Well, 'reaches both ends.'],
    'short at one end' => [[[0, 600], [-100, 600], [94, 600], [0, 600]], AxisState::Short, 'from -100 to 94 %'],
    'off its middle' => [[[0, 600], [-100, 600], [100, 600], [3.2, 600]], AxisState::OffCentre, 'back to 3.2 %'],
]);

it('holds each stick of a rig so long that every value is taken from it, in the order in which they are asked for', function (string $name, string $kind) {
    $rig = BenchRigs::get($name);
    $rows = (new SteadyRehearsal($rig, Formats::shipped()))->held($kind);
    $steady = new RigSteady($rig);
    $at = 0;
    foreach ($steady->asks() as $ask) {
        $taken = null;
        foreach ($ask->kind === $kind ? $ask->holds : [] as $hold) {
            for ($held = null; ($held?->is_taken ?? false) === false; $at += 5) {
                expect($at)->toBeLessThan(count($rows));
                $held = $steady->held($ask->function, RigSteady::log(new Node((object) ['log' => array_slice($rows, max(0, $at - 40), 45)])), $taken);
            }
            $taken = $held->us;
            $at += 30;
        }
    }
    expect($at)->toBeGreaterThan(0);
})->with([['dunlin', 'stick'], ['dunlin', 'switch'], ['avocet', 'stick'], ['oystercatcher', 'stick'], ['20-relay', 'stick']]);

it('holds nothing that is neither stick nor switch', function () {
    (new SteadyRehearsal(BenchRigs::get('dunlin'), Formats::shipped()))->held('knob');
})->throws(DocumentError::class, 'expected stick or switch');
