<?php

declare(strict_types=1);

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Plain;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Order\MendOrder;
use Linguator\Core\Steps\Order\OrderCheck;
use Linguator\Core\Steps\Order\OrderObservation;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Order\Seen;
use Linguator\Core\Steps\Wiring\WiringReview;
use Linguator\Core\Tests\DemoRigs;

/** Some order of the four letters. */
function someOrder(): string
{
    return str_shuffle('AETR');
}

/** @param  array<string, mixed>  $set */
function ordered(string $name, array $set): RigDocument
{
    return DemoRigs::changed(DemoRigs::get($name), RigPatch::of($set));
}

function orderOf(RigDocument $rig): OrderReview
{
    return new OrderReview($rig);
}

/**
 * Where each stick arrives, by the rules alone: through a module that expects A E T R and sends T A E R, or straight.
 *
 * @return array<string, int> Channel by letter.
 */
function arriving(string $handset, bool $isRemapped): array
{
    $arriving = [];
    foreach (str_split($handset) as $k => $letter) {
        $arriving[$letter] = $isRemapped ? strpos('TAER', 'AETR'[$k]) + 1 : $k + 1;
    }

    return $arriving;
}

it('judges any order as the rules do, and every fix it offers mends it', function () {
    mt_srand(61);
    [$wrong, $mended] = [0, []];
    for ($k = 0; $k < 24; $k++) {
        $isDunlin = $k % 2 === 0;
        [$handset, $reader, $isRemapped] = [someOrder(), $isDunlin ? someOrder() : 'TAER', ! $isDunlin && mt_rand(0, 1) === 1];
        $settings = $isDunlin ? ['settings.order' => $handset, 'settings.controller_order' => $reader] : ['settings.order' => $handset, 'settings.remap.brack-m4' => $isRemapped, 'settings.plugs' => 'labels'];
        $rig = ordered($isDunlin ? 'dunlin' : 'avocet', $settings);
        $order = orderOf($rig);
        $arriving = arriving($handset, $isRemapped);
        $expected = array_filter($arriving, fn (int $channel, string $letter): bool => $reader[$channel - 1] !== $letter, ARRAY_FILTER_USE_BOTH) === [];
        expect($order->isRight())->toBe($expected, "$handset to $reader".($isRemapped ? ' remapped' : ''));
        foreach (Letter::cases() as $letter) {
            expect($order->channelOf($letter->functionName()))->toBe($arriving[$letter->value]);
        }
        $fixes = $order->fixes();
        expect($fixes === [])->toBe($expected);
        $wrong += $expected ? 0 : 1;
        foreach ($fixes as $fix) {
            $at = $fix->fix->at;
            $after = orderOf(DemoRigs::did($rig, new MendOrder($at, $fix->module)));
            expect($after->isRight())->toBeTrue("$handset to $reader by the $at->value");
            $mended[$at->value] = ($mended[$at->value] ?? 0) + 1;
        }
        // One plug for each function, in the pin where it arrives.
        $table = array_column(Plain::of($order->shown()->plugs) ?? [], 'pin', 'letter');
        expect($table)->toBe($isDunlin ? [] : array_replace(['A' => 0, 'E' => 0, 'T' => 0, 'R' => 0], $arriving));
    }
    expect($wrong)->toBeGreaterThan(15)->and(array_keys($mended))->toContain('handset', 'controller', 'plugs');
});

it('offers to switch the remapping only where that alone makes it right', function (string $handset, bool $isOn, ?bool $offered) {
    $fixes = Plain::of(orderOf(ordered('avocet', ['settings.order' => $handset, 'settings.remap.brack-m4' => $isOn]))->fixes());
    expect(array_column($fixes, 'remap', 'at')['module'] ?? null)->toBe($offered);
})->with([
    'off, and wanted' => ['AETR', false, true],
    'on, and the handset has the order already' => ['TAER', true, false],
    'on and right' => ['AETR', true, null],
    'wrong either way' => ['RTEA', true, null],
]);

it('compares what moved with what should, and says what explains it', function () {
    mt_srand(62);
    $said = [];
    for ($k = 0; $k < 30; $k++) {
        [$handset, $isRemapped] = [mt_rand(0, 1) === 1 ? 'AETR' : someOrder(), mt_rand(0, 1) === 1];
        $order = orderOf(ordered('avocet', ['settings.order' => $handset, 'settings.remap.brack-m4' => $isRemapped, 'settings.plugs' => 'labels']));
        // What really is in the handset and the module.
        [$really, $isReally] = [mt_rand(0, 1) === 1 ? $handset : someOrder(), mt_rand(0, 1) === 1 ? $isRemapped : ! $isRemapped];
        $seen = array_map(fn (int $channel): Seen => new Seen($channel, false), arriving($really, $isReally));
        $check = OrderCheck::of($order, $seen);
        $isAsSet = arriving($really, $isReally) == arriving($handset, $isRemapped);
        expect($check->passes())->toBe($isAsSet && $order->isRight());
        expect(array_column($check->rows, 'ok'))->toBe(array_map(fn (string $letter): bool => arriving($really, $isReally)[$letter] === arriving($handset, $isRemapped)[$letter], str_split($handset)));
        $explanation = $check->explanation();
        if ($isAsSet) {
            expect($explanation)->toBeNull()->and($check->sentence())->toBe($order->isRight() ? 'Each stick moves what it should.' : 'The sticks move as the settings say, and that is still the wrong order: mend it first.');
        } elseif (arriving($really, $isReally) == arriving($handset, ! $isRemapped)) {
            expect($explanation)->toContain('remapping in Brack M4 '.($isRemapped ? 'off' : 'on').'; the rig says it is '.($isRemapped ? 'on.' : 'off.'));
            $said['module'] = true;
        } else {
            $order = array_flip(arriving($really, $isReally));
            ksort($order);
            // Each channel has a pin of its own here: plugs may be wrong, or the order.
            expect($explanation)->toContain('in the order '.implode('', $order))->toMatch('/^The [a-z]+ plug stands in pin [1-4]/');
            $said['handset'] = true;
        }
    }
    expect(array_keys($said))->toEqualCanonicalizing(['module', 'handset']);
});

it('says that nothing moved, that one stick is dead, and what a stranger stick is', function () {
    $order = orderOf(DemoRigs::get('avocet'));
    $none = new Seen(null);
    $dead = OrderCheck::of($order, ['A' => $none, 'E' => $none, 'T' => $none, 'R' => $none]);
    expect($dead->sentence())->toBe('Nothing moved at all: the link is down, or the reader takes the wire for another format.')->and($dead->explanation())->toBeNull()->and($dead->passes())->toBeFalse();
    $one = OrderCheck::of($order, ['R' => $none] + OrderObservation::fromSight($order, (object) ['A' => 'A', 'E' => 'E', 'T' => 'T']));
    expect($one->sentence())->toBe('Stick R moved nothing instead of channel 4.');
    expect(fn () => OrderCheck::of($order, ['A' => $none]))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('seen.E'));
    expect(fn () => OrderObservation::fromSight($order, (object) ['X' => 'A']))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('moved.X'));
    expect(fn () => OrderObservation::fromSight($order, (object) ['A' => 'flap']))->toThrow(fn (DocumentError $error) => expect($error->getMessage())->toContain('"flap"')->toContain('A, E, T, R'));
    $check = $one->made('Wren', '2026-11-25T10:00:00Z');
    expect($check)->passed->toBeFalse()->expected->toBe('A on 2, E on 3, T on 1, R on 4')->observed->toBe('A on 2, E on 3, T on 1, R on none');
});

it('takes what was seen from the plugs where the plugs have been moved', function () {
    $rig = ordered('avocet', ['settings.remap.brack-m4' => false, 'settings.plugs' => 'arrival']);
    $order = orderOf($rig);
    expect($order->isRight())->toBeTrue()->and($order->isMendedByPlugs())->toBeTrue();
    $check = OrderCheck::of($order, OrderObservation::fromSight($order, (object) ['A' => 'A', 'E' => 'E', 'T' => 'T', 'R' => 'R']));
    expect($check->passes())->toBeTrue();
    $rows = array_column((new WiringReview($rig, $order))->wires[1]->rows, 'fromPin', 'carries');
    expect($rows)->toBe(['aileron' => 'pin 1, marked T', 'elevator' => 'pin 2, marked A', 'throttle' => 'pin 3, marked E', 'rudder' => 'pin 4, marked R', 'flap' => 'pin 6, marked X']);
});

it('says why an order cannot be judged', function () {
    $blank = RigDocument::of(RigDocument::blank('New', 'plane'));
    expect(orderOf($blank)->unjudged)->toBe('The order can be traced once the chain joins.');
    expect(fn () => OrderCheck::of(orderOf($blank), []))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe('not_joined'));
    $rig = DemoRigs::get('dunlin');
    $chain = unserialize(serialize($rig->document->chain));
    unset($chain[0]->order);
    $unknown = DemoRigs::changed($rig, RigPatch::of(['chain' => $chain], ['settings.order']));
    expect(orderOf($unknown)->unjudged)->toBe('The channel order of Ostrel 9 is not known. Enter it on its card.')->and(orderOf($unknown)->isRight())->toBeFalse();
});
