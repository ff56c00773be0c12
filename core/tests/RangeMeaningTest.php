<?php

declare(strict_types=1);

use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Wiring\RangeMeaning;
use Linguator\Core\Steps\Wiring\TellPower;
use Linguator\Core\Tests\DemoRigs;

it('says what thirty paces stand for with the power set, and only then', function (?float $mw, ?array $powers, ?float $metres, string $says) {
    $rig = DemoRigs::did(DemoRigs::get('avocet'), new TellPower($mw));
    $chain = array_map(static function (stdClass $box) use ($powers): stdClass {
        $box = clone $box;
        if ($box->id === 'brack-m4') {
            unset($box->powers_mw);
            $powers === null || $box->powers_mw = $powers;
        }

        return $box;
    }, $rig->node()->items('chain'));
    $range = RangeMeaning::of(DemoRigs::changed($rig, RigPatch::of(['chain' => $chain])));
    expect($range->standsForM)->toEqualWithDelta($metres, 0.05)->and($range->text)->toContain($says)->and($range->setMw)->toBe($mw);
})->with([
    // 10 log10(1000 / 40) = 13.98 dB; 27 m at 3.98 dB more.
    'a watt turned down to 40 mW' => [40.0, [10, 40, 1000], 42.7, 'at 40 mW stand for 43 m at 1000 mW'],
    // 27 m less 10 dB.
    'full power' => [100.0, [10, 100], 8.54, 'stand for 9 m at this, the full power,'],
    'not told' => [null, [10, 100], null, 'it is not told yet'],
    'no powers on the card' => [40.0, null, null, 'the full power is not on the card of Brack M4'],
    'more than the card tells' => [500.0, [10, 100], null, 'one of them is wrong'],
]);
