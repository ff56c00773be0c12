<?php

declare(strict_types=1);

use Linguator\Core\Bind\Recipe;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Told\Fact;
use Linguator\Core\Steps\Told\FactKind;
use Linguator\Core\Steps\Told\TellFact;
use Linguator\Core\Steps\Told\ToldReview;
use Linguator\Core\Steps\Travel\SetWeights;
use Linguator\Core\Steps\Wiring\TellAntenna;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\SheetText;

function said(RigDocument $rig, array $facts): RigDocument
{
    foreach ($facts as $fact => $value) {
        $rig = DemoRigs::did($rig, new TellFact(Fact::from($fact), $value));
    }

    return $rig;
}

/** A demo rig with one of its cards otherwise in these keys. */
function withCard(string $rig, string $id, array $keys): RigDocument
{
    $otherwise = get_object_vars(json_decode((string) json_encode($keys)));
    $chain = array_map(fn (GearCard $card): stdClass => $card->id === $id ? (object) array_merge(get_object_vars($card->document), $otherwise) : $card->document, DemoRigs::get($rig)->cards);

    return DemoRigs::changed(DemoRigs::get($rig), RigPatch::of(['chain' => $chain]));
}

it('keeps what is said, prints it under its heading, and says what an alarm per cell is for the pack', function () {
    $rig = said(DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of(['settings.craft_pack' => (object) ['chemistry' => 'lipo', 'cells' => 3]])), [
        'throttle_cut' => 'R1 back', 'timer_min' => 3, 'timer_starts' => 'with the throttle', 'cell_alarm_v' => 3.5, 'voltage_shown' => "of the craft's pack", 'notes' => 'Button under the canopy.', 'firmware' => '2.1 both ends',
    ]);
    $sheet = SheetText::of($rig);
    expect($sheet)->toContain("Timer, cut and set-up\n  Throttle cut: R1 back\n  Timer: 3 min\n  The timer runs: with the throttle\n")
        ->toContain("Packs and telemetry\n  Alarm per cell of the craft: 3.5 V, 10.5 V for the pack\n  The voltage shown: of the craft's pack\n")
        ->toContain("Both ends of the link\n  Firmware: 2.1 both ends\n")
        ->toContain("To remember\n  Notes for the sheet: Button under the canopy.\n");
    expect(SheetText::of(DemoRigs::get('avocet')))->not->toContain('Timer, cut and set-up');
    // What is said beside the arithmetic makes no proof stale.
    expect(DemoRigs::review($rig)['readiness']['sign_off']['state'])->toBe(DemoRigs::review(DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of(['settings.craft_pack' => (object) ['chemistry' => 'lipo', 'cells' => 3]])))['readiness']['sign_off']['state']);
    expect((new ToldReview(said($rig, ['cell_alarm_v' => null])))->packAlarmV())->toBeNull();
});

it('takes of each fact what is asked for, and says what that is', function (string $fact, mixed $value, string $message) {
    expect(fn () => said(DemoRigs::get('avocet'), [$fact => $value]))
        ->toThrow(fn (DocumentError $error) => expect([$error->path, $error->getMessage()])->toBe(['value', $message]));
})->with([
    'a number in words' => ['timer_min', 'three', 'Timer: expected a number from 0.1 to 600 min.'],
    'a cell that no cell has' => ['cell_alarm_v', 12, 'Alarm per cell of the craft: expected a number from 0.5 to 4.5 V.'],
    'yes in words' => ['extended_limits', 'yes', 'Extended limits: expected yes or no.'],
    'another choice' => ['timer_starts', 'later', 'The timer runs: expected one of with the throttle, by a switch, from power-on.'],
    'words that are none' => ['firmware', 3, 'Firmware: expected words.'],
]);

it('knows of each fact what kind it is, and asks only for what can matter', function () {
    foreach (Fact::cases() as $fact) {
        expect($fact->choices() !== [])->toBe($fact->kind() === FactKind::Choice)
            ->and($fact->range() !== null)->toBe($fact->kind() === FactKind::Number)
            ->and($fact->unit() !== null)->toBe($fact->kind() === FactKind::Number);
    }
    $asked = fn (RigDocument $rig): array => (new ToldReview($rig))->asked();
    expect($asked(DemoRigs::get('avocet')))->toContain(Fact::ThrottleCut)->not->toContain(Fact::TimerStarts, Fact::SetUpRateBack, Fact::ArmedOnly);
    $noMotor = DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of(['craft.functions' => [(object) ['function' => 'aileron', 'channel' => 1]]]));
    expect($asked($noMotor))->not->toContain(Fact::ThrottleCut);
    expect($asked(said($noMotor, ['throttle_cut' => 'none'])))->toContain(Fact::ThrottleCut);
    expect($asked(said(DemoRigs::get('avocet'), ['sensors' => 'height'])))->toContain(Fact::ArmedOnly);
});

it('does not let a rate that was slowed down for the set-up fly', function () {
    $rig = said(DemoRigs::get('avocet'), ['set_up_rate' => '22 ms']);
    $open = DemoRigs::review($rig)['readiness'];
    expect($open['ready'])->toBeFalse()->and(array_column($open['leftovers'], 'sentence', 'what'))->toBe(['path/set_up_rate' => 'The rate set for the set-up (22 ms) is not put back.']);
    expect(DemoRigs::review($rig)['next']['label'])->toBe('Not ready');
    $back = DemoRigs::review(said($rig, ['set_up_rate_back' => true]));
    expect($back['readiness']['ready'])->toBeTrue()->and($back['readiness']['leftovers'])->toBe([]);
});

it('finds two reversals that cancel, once the weights can be told', function () {
    $rig = DemoRigs::did(DemoRigs::get('avocet'), new SetWeights(2, new Node((object) ['channel' => 2, 'weight' => -100])));
    $row = DemoRigs::review($rig)['travel']['rows'][1];
    expect($row['weight'])->toBe(-100.0)->and($row['now']['reversed'])->toBeTrue()->and($row['hidden'])->toContain('input weight')->toContain('output');
    expect(fn () => DemoRigs::did($rig, new SetWeights(9, new Node((object) ['channel' => 9, 'weight' => -100]))))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('channel'));
});

it('says where each stick is held to bind', function (array $traits, string $says) {
    $steps = (new Recipe('Sender', null, 'Toy', new Node((object) ['methods' => ['sticks_in_corner'], ...$traits]), 'tarn-a', false, false))->steps();
    expect(implode(' ', array_column($steps, 'text')))->toContain($says);
})->with([
    'both by one word' => [['corner' => 'both_lower_right'], 'Hold both sticks down and to the right.'],
    'each by itself' => [['left_stick' => 'middle', 'right_stick' => 'upper_right'], 'Hold the left stick in its middle, the right stick up and to the right.'],
    'one only' => [['right_stick' => 'lower_left'], 'Hold the right stick down and to the left.'],
]);

it('prints the procedures of a box, offers no order that cannot be set, and takes powers in dBm', function () {
    $rig = withCard('avocet', 'tarn-t7', ['procedures' => [['name' => 'Stabiliser on', 'how' => 'Sticks in opposite corners, then the switch five times.']]]);
    expect(SheetText::of($rig))->toContain('  Stabiliser on: Sticks in opposite corners, then the switch five times.');
    $wrong = fn (array $keys): array => array_column(DemoRigs::review(DemoRigs::changed(withCard('dunlin', 'ostrel-9', $keys), RigPatch::of(['settings.order' => 'TAER'])))['order']['fixes'], 'at');
    expect($wrong(['notes' => 'as it is']))->toBe(['controller', 'handset'])->and($wrong(['order_fixed' => true]))->toBe(['controller']);
    $range = DemoRigs::review(withCard('oystercatcher', 'longshore', ['powers_mw' => [], 'powers_dbm' => [20, 30]]))['wiring']['range'];
    expect($range['full_mw'])->toBe(1000.0);
    expect(DemoRigs::review(withCard('dunlin', 'ostrel-9', ['radio_powers_mw' => [25, 100]]))['wiring']['range']['full_mw'])->toBe(100.0);
});

it('names the pin that carries a train', function () {
    $rig = withCard('mudlark', 'weft-r8t', ['outputs' => [['format' => 'ppm', 'channels' => 8, 'period_ms' => [18], 'pin' => 1, 'level_v' => 3.3]]]);
    expect(DemoRigs::review($rig)['wiring']['wires'][0]['rows'][0]['from_pin'])->toBe('pin 1');
});

it('offers both schools of where an antenna sits, each with its price, and knows which was taken', function () {
    $rig = DemoRigs::get('avocet');
    $places = DemoRigs::review($rig)['wiring']['antenna_places'];
    expect(array_column($places, 'is_chosen'))->toBe([false, false])->and($places[0]['price'])->not->toBe($places[1]['price']);
    foreach ($places as $k => $place) {
        $told = DemoRigs::did($rig, new TellAntenna($place['place']));
        expect(array_keys(array_filter(array_column(DemoRigs::review($told)['wiring']['antenna_places'], 'is_chosen'))))->toBe([$k])
            ->and($told->settings()->textOrNull('antenna'))->toBe($place['place']);
    }
    expect(DemoRigs::review(RigDocument::of(RigDocument::blank('New', 'plane')))['wiring']['antenna_places'])->toBe([]);
});
