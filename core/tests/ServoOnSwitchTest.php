<?php

declare(strict_types=1);

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Steps\Travel\ServoOnSwitch;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Travel\ServoRange;

/** The flap's lever of the glider (±512 µs at 100 %, at most 120 %), with the servo standing 1050 to 1950 µs. */
function flapOn(array $set): SwitchSetting
{
    $entry = json_decode((string) json_encode(['function' => 'flap', 'channel' => 6, 'switch' => 'R2', ...$set]));

    $rig = DemoRigs::get('avocet');

    return new SwitchSetting(new Node($entry), 0, $rig->handset(), new ChannelRecord($rig, 31));
}

it('keeps a servo inside its limits when a switch drives it', function (array $set, ?string $message, ?string $change) {
    $finding = (new ServoOnSwitch(flapOn($set), new ServoRange(1050, 1950)))->finding();
    expect($finding?->message)->toBe($message)->and($finding?->change)->toBe($change)->and($finding?->severity->value)->toBe($message === null ? null : 'stop');
})->with([
    'inside' => [['curve' => [0, -50, -100], 'weight' => 87], null, null],
    'too far to one side' => [['curve' => [0, -50, -100], 'weight' => 100], 'The flap servo would be driven 62 µs too far.', 'Lower the weight to 87 %.'],
    'too far to both' => [[], 'The flap servo would be driven 62 µs too far.', 'Lower the weight to 87 %.'],
    'turned round' => [['weight' => -100], 'The flap servo would be driven 62 µs too far.', 'Lower the weight to -87 %.'],
    'by the offset' => [['weight' => 50, 'offset' => 50], 'The flap servo would be driven 62 µs too far.', 'Lower weight and offset until every position lies inside.'],
    'as read' => [['levels_us' => [1040, 1500, 1960]], 'The flap servo is driven 10 µs too far.', 'Lower the weight, or the ends of this channel, before the link is powered again; then read every position anew.'],
]);

it('suggests a weight at which it stays inside, and the largest such', function () {
    foreach ([100, 110, 120, 150, -100, -150] as $weight) {
        foreach ([null, [0, -50, -100], [100, 0, -50], [-30, 0, 90]] as $curve) {
            foreach ([[1050, 1950], [1120, 1880], [1300, 1950], [1100, 1600]] as [$lo, $hi]) {
                $finding = (new ServoOnSwitch(flapOn(['weight' => $weight, 'curve' => $curve]), new ServoRange($lo, $hi)))->finding();
                if ($finding === null) {
                    continue;
                }
                expect(sscanf($finding->change, 'Lower the weight to %d %%.', $less))->toBe(1);
                $then = (new ServoOnSwitch(flapOn(['weight' => $less, 'curve' => $curve]), new ServoRange($lo, $hi)))->finding();
                expect($then)->toBeNull("$weight, $lo to $hi")->and(abs($less))->toBeLessThan(abs($weight));
            }
        }
    }
});

it('says nothing of a servo of which nothing is known', fn () => expect((new ServoOnSwitch(flapOn(['weight' => 150]), new ServoRange(null, null)))->finding())->toBeNull());

it('stops a rig whose flap is driven too far, on the step and at check-out alike', function () {
    $rig = DemoRigs::get('avocet');
    expect(DemoRigs::review($rig)['readiness']['ready'])->toBeTrue();
    $switches = json_decode((string) json_encode($rig->document->settings->switches));
    $switches[0]->weight = 100;
    $review = DemoRigs::review(DemoRigs::changed($rig, RigPatch::of(['settings.switches' => $switches])));
    $says = 'The flap servo would be driven 62 µs too far.';
    expect(array_column($review['switches']['findings'], 'message'))->toBe([$says])
        ->and($review['readiness']['ready'])->toBeFalse()->and($review['readiness']['stops'])->toContain($says);
});
