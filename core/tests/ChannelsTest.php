<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Finding\Code;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Bind\BindReview;
use Linguator\Core\Steps\Bind\LogAttempt;
use Linguator\Core\Steps\Order\FollowOrder;
use Linguator\Core\Steps\Order\OrderCheck;
use Linguator\Core\Steps\Order\OrderObservation;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Order\SetHandsetOrder;
use Linguator\Core\Steps\Path\ChooseWay;
use Linguator\Core\Steps\Switches\AddWindow;
use Linguator\Core\Steps\Switches\ChannelRules;
use Linguator\Core\Steps\Switches\SetSwitch;
use Linguator\Core\Steps\Timing\HoldUnused;
use Linguator\Core\Steps\Wiring\TellSupply;
use Linguator\Core\Supply\Pack;
use Linguator\Core\Tests\DemoRigs;

/** @return array<string, int> Channels by function. */
function rides(RigDocument $rig): array
{
    return array_column($rig->functions()->jsonSerialize(), 'channel', 'function');
}

/** @return list<array{float|int, list<int>}> Lower edge and wanted positions of the windows on a channel. */
function windowsOf(RigDocument $rig, int $channel): array
{
    return array_values(array_map(fn ($entry): array => [$entry->window->lo, $entry->window->wanted], array_filter($rig->windows(), fn ($entry): bool => $entry->channel === $channel)));
}

it('moves the sticks that were told when the order of the handset changes, and says when the two differ', function () {
    $rig = DemoRigs::did(DemoRigs::get('avocet'), new SetHandsetOrder('TAER'));
    expect(rides($rig))->toBe(['throttle' => 1, 'aileron' => 2, 'elevator' => 3, 'rudder' => 4, 'flap' => 6])
        ->and((new OrderReview($rig))->shown()->disagrees)->toBeNull();
    // Told by hand on another channel: a finding, until one of the two is put right.
    $told = DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of(['craft.functions' => json_decode('[{"function":"throttle","channel":1},{"function":"aileron","channel":2},{"function":"elevator","channel":3},{"function":"rudder","channel":4},{"function":"flap","channel":6}]')]));
    $order = new OrderReview($told);
    expect($order->standing()->note)->toBe('Throttle is told on channel 1 and leaves the handset on 3; aileron is told on channel 2 and leaves the handset on 1; elevator is told on channel 3 and leaves the handset on 2.')
        ->and($order->shown()->toldOrder)->toBe('TAER')->and(DemoRigs::readiness($told)->isReady())->toBeFalse();
    $followed = DemoRigs::did($told, new FollowOrder);
    expect(rides($followed))->toBe(['aileron' => 1, 'elevator' => 2, 'throttle' => 3, 'rudder' => 4, 'flap' => 6])->and((new OrderReview($followed))->leftovers()->isEmpty())->toBeTrue();
    expect((new OrderReview(DemoRigs::did($told, new SetHandsetOrder('TAER'))))->leftovers()->isEmpty())->toBeTrue();
    expect(fn () => DemoRigs::did($followed, new FollowOrder))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe('nothing_to_do'));
});

it('offers no channel that the link keeps, and none beyond those that get through', function () {
    $chain = json_decode((string) json_encode(DemoRigs::get('dunlin')->document->chain));
    $chain[1]->reserved_channels = [(object) ['channel' => 8, 'for' => 'signal_strength'], (object) ['channel' => 9]];
    $rig = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['chain' => $chain]));
    expect((new ChannelRules(DemoRigs::get('dunlin')))->nextFree())->toBe(8)->and((new ChannelRules($rig))->nextFree())->toBeNull();
    unset($chain[1]->reserved_channels);
    $chain[0]->channels = 7;
    expect((new ChannelRules(DemoRigs::changed($rig, RigPatch::of(['chain' => $chain]))))->nextFree())->toBeNull();
});

it('keeps arm at the end of its switch when that gets a third position', function () {
    $rig = DemoRigs::get('dunlin');
    expect(windowsOf($rig, 5))->toBe([[1700.0, [2]]]);
    $three = DemoRigs::did($rig, new SetSwitch('arm', new Node((object) ['function' => 'arm', 'switch' => 'L2'])));
    expect(windowsOf($three, 5))->toBe([[1700.0, [3]]]);
    $back = DemoRigs::did($three, new SetSwitch('arm', new Node((object) ['function' => 'arm', 'switch' => 'L1'])));
    expect(windowsOf($back, 5))->toBe([[1700.0, [2]]])
        // Another switch of as many positions leaves the windows alone.
        ->and(DemoRigs::did($rig, new SetSwitch('mode', new Node((object) ['function' => 'mode', 'weight' => 90])))->settings()->items('windows'))->toEqual($rig->settings()->items('windows'));
});

it('begins a new window round the last position that no other one has', function () {
    $rig = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['settings.windows' => []]));
    foreach ([[3], [2], [1], [3]] as $k => $wanted) {
        $rig = DemoRigs::did($rig, new AddWindow('mode', "mode $k"));
        expect(windowsOf($rig, 6)[$k][1])->toBe($wanted);
    }
});

it('takes it that the unused channels of a train are held, and the finding is gone', function () {
    $rig = DemoRigs::get('mudlark');
    $codes = fn (RigDocument $one): array => array_map(fn ($finding): Code => $finding->code, $one->chain()->findings()->all);
    expect($codes($rig))->toContain(Code::M2)->and(DemoRigs::review($rig)['timing']['trains'][0])->toMatchArray(['may_be_held' => true, 'is_held' => false]);
    $held = DemoRigs::did($rig, new HoldUnused('weft-r8t', true));
    $review = DemoRigs::review($held);
    expect($codes($held))->not->toContain(Code::M2)->and($review['couplings'][1]['findings'])->toBe([])
        ->and($review['timing']['trains'][0])->toMatchArray(['is_held' => true]);
    $rows = array_merge(...array_column($review['sheet'], 'rows'));
    expect(array_column($rows, 'value', 'key')['weft-r8t/held'])->toBe('the 6 that carry nothing, held at 988 µs');
    // Once more functions ride in it, holding the rest is no longer enough.
    $more = DemoRigs::changed($held, RigPatch::of(['craft.functions' => array_map(fn (int $k): object => (object) ['function' => "aux_$k", 'channel' => $k], range(1, 8))]));
    expect($codes($more))->toContain(Code::M2);
    expect($codes(DemoRigs::did($held, new HoldUnused('weft-r8t', false))))->toContain(Code::M2);
    expect(fn () => DemoRigs::did($rig, new HoldUnused('ostrel-9', true)))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('box'));
});

it('names the plug that stands in the wrong pin', function () {
    $order = new OrderReview(DemoRigs::get('avocet'));
    // Tarn T7 brings A on 2 and E on 3; the two plugs are swapped.
    $check = OrderCheck::of($order, OrderObservation::fromSight($order, (object) ['A' => 'E', 'E' => 'A', 'T' => 'T', 'R' => 'R']));
    expect($check->explanation())->toStartWith('The elevator plug stands in pin 2; the aileron plug stands in pin 3.');
});

it('asks for as many channels as the craft has, and says in numbers what does not get through', function () {
    $rig = DemoRigs::changed(DemoRigs::get('oystercatcher'), RigPatch::of(['craft.functions' => []], ['path.channels']));
    expect($rig->channels())->toBe(4);
    $more = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['path.channels' => 24]));
    $misses = array_merge(...array_column(DemoRigs::review($more)['couplings'], 'misses'));
    expect($misses[0]['code'])->toBe('M12')->and($misses[0]['message'])->toMatch('/: 24 asked for, 9 get through\.$/');
});

it('offers every way in which two boxes join with its price, and takes the one that is chosen', function () {
    $rig = DemoRigs::get('mudlark');
    $ways = DemoRigs::review($rig)['couplings'][0]['ways'];
    expect(array_column($ways, 'chosen'))->toContain(true)->and($ways[0]['chosen'])->toBeTrue();
    $wires = DemoRigs::review(DemoRigs::get('avocet'))['couplings'][2]['ways'];
    expect(array_column($wires, 'via'))->toBe(['pwm']);
    $two = array_values(array_filter(Linguator\Core\Tests\Situations::all(), fn ($situation): bool => str_starts_with($situation->name, '02')))[0];
    $rig = Linguator\Core\Tests\Situations::rig($two);
    $ways = DemoRigs::review($rig)['couplings'][1]['ways'];
    expect(count($ways))->toBeGreaterThan(1);
    $other = $ways[1];
    $chosen = DemoRigs::did($rig, new ChooseWay('weft-r6', 'shoal-gyro', $other['via']));
    expect(DemoRigs::review($chosen)['couplings'][1]['via'])->toBe($other['via']);
    expect(fn () => DemoRigs::did($rig, new ChooseWay('weft-r6', 'shoal-gyro', 's100i')))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('via'));
    expect(fn () => DemoRigs::did($rig, new ChooseWay('shoal-gyro', 'weft-r6', 'ppm')))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('from'));
});

it('ladders only what both ends and the path can do, and joins the chain by what bound', function () {
    $rig = DemoRigs::get('dunlin');
    $hop = (new BindReview($rig))->hopAt(1);
    // weft-8 knows no channel modes: those of weft-16 are another variant's.
    expect($hop->channelModes)->toContain('1-8')->and($hop->variants[0])->toBe('weft-8');
    $sixteen = DemoRigs::changed($rig, RigPatch::of(['path.channels' => 9, 'settings.links' => []]));
    expect((new BindReview($sixteen))->hopAt(1)->channelModes)->toBe(['1-16']);
    $bound = DemoRigs::did($rig, new LogAttempt(new Node((object) ['hop' => 1, 'variant' => 'weft-16', 'channel_mode' => '1-16', 'distance_m' => 2, 'bound' => true])));
    $coupling = DemoRigs::review($bound)['couplings'][0];
    expect($coupling['via'])->toBe('weft/weft-16')->and($coupling['detail'])->toContain('ch 1–16');
    // What did not bind changes nothing of the chain.
    $tried = DemoRigs::did($rig, new LogAttempt(new Node((object) ['hop' => 1, 'variant' => 'weft-16', 'channel_mode' => '1-16', 'distance_m' => 2, 'bound' => false])));
    expect(DemoRigs::review($tried)['couplings'][0]['via'])->toBe('weft/weft-8');
});

it('judges every box with a supply: a relay on its mast too, by what somebody says feeds it', function () {
    $rig = DemoRigs::get('oystercatcher');
    $rows = fn (RigDocument $one): array => array_column(DemoRigs::review($one)['wiring']['power'], null, 'name');
    expect(array_keys($rows($rig)))->toBe(['Weft R16i', 'Longshore 868', 'Sisal S4P'])
        ->and($rows($rig)['Longshore 868'])->toMatchArray(['from' => 'not said', 'severity' => 'check', 'is_to_tell' => true])
        ->and($rows($rig)['Sisal S4P'])->toMatchArray(['from' => 'Oystercatcher, 6 V', 'severity' => 'ok']);
    $fed = DemoRigs::did(DemoRigs::did($rig, new TellSupply('weft-r16i', null, 5.0)), new TellSupply('longshore', Pack::orNull(new Node((object) ['chemistry' => 'lipo', 'cells' => 4]))));
    expect($rows($fed)['Weft R16i'])->toMatchArray(['from' => 'a regulator, 5 V', 'severity' => 'ok'])
        ->and($rows($fed)['Longshore 868'])->toMatchArray(['from' => 'its own pack, 4 LiPo cells', 'severity' => 'stop'])
        ->and(DemoRigs::readiness($fed)->stops())->toContain($rows($fed)['Longshore 868']['message'])
        ->and($rows(DemoRigs::did($rig, new TellSupply('sisal-s4p', null, 12.0)))['Sisal S4P'])->toMatchArray(['from' => 'a regulator, 12 V', 'severity' => 'stop']);
    expect(fn () => DemoRigs::did($rig, new TellSupply('ostrel-9', null, 5.0)))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('box'));
    expect($rows(DemoRigs::did($fed, new TellSupply('longshore', null)))['Longshore 868']['severity'])->toBe('check');
});

/** @return array<string, list<string>> What each wire carries, by where it begins and where it ends. */
function wiresOf(RigDocument $rig): array
{
    $wires = [];
    foreach (DemoRigs::review($rig)['wiring']['wires'] as $wire) {
        $wires["{$wire['from']} {$wire['to']}"] = array_map(fn (array $row): string => "{$row['carries']}: {$row['from_pin']} -> {$row['to_pin']}", $wire['rows']);
    }

    return $wires;
}

it('wires every function into a controller that reads pin by pin, and gives every servo behind it an output of its own', function () {
    $situation = array_values(array_filter(Linguator\Core\Tests\Situations::all(), fn ($one): bool => str_starts_with($one->name, '18')))[0];
    $rig = Linguator\Core\Tests\Situations::rig($situation);
    $with = DemoRigs::changed($rig, RigPatch::of(['craft.functions' => json_decode('[{"function":"aileron","channel":1},{"function":"elevator","channel":2},{"function":"rudder","channel":4},{"function":"gain","channel":6}]')]));
    $into = wiresOf($with)['weft-r6 keelson-gyro'];
    expect(implode("\n", $into))->toContain('gain: pin 6')->toContain('aileron: pin 1');
    $mudlark = wiresOf(DemoRigs::get('mudlark'));
    expect(array_merge(...array_values($mudlark)))->toContain('throttle: output 1, set to throttle -> speed controller plug', 'rudder: output 2, set to rudder -> rudder plug');
});

it('tells a re-mappable pin which channel it is to carry, and shares an output only where there are too few', function () {
    $chain = json_decode((string) json_encode(DemoRigs::get('oystercatcher')->document->chain));
    $chain[count($chain) - 1]->servos[] = (object) ['function' => 'lamp'];
    $rig = DemoRigs::changed(DemoRigs::get('oystercatcher'), RigPatch::of(['chain' => $chain, 'craft.functions' => json_decode('[{"function":"throttle","channel":3},{"function":"rudder","channel":4},{"function":"lamp","channel":6}]')]));
    expect(wiresOf($rig)['sisal-s4p oystercatcher-servos'])->toContain('throttle: pin 3 -> speed controller plug', 'lamp: pin 1, set to channel 6 -> lamp plug');
    $few = json_decode((string) json_encode(DemoRigs::get('mudlark')->document->chain));
    $few[count($few) - 1]->servos[] = (object) ['function' => 'rudder'];
    foreach ($few as $card) {
        if ($card->kind === 'controller') {
            $card->outputs = (object) ['passes_throttle' => true];
        }
    }
    $shared = array_merge(...array_values(wiresOf(DemoRigs::changed(DemoRigs::get('mudlark'), RigPatch::of(['chain' => $few])))));
    expect(implode("\n", $shared))->not->toContain('output 1, set to')->toContain('throttle output');
});

it('takes an order from the sticks that were told only where all four are', function () {
    $order = fn (array $functions): ?string => Linguator\Core\Channel\Functions::of(...array_map(fn (string $name, int $channel): Linguator\Core\Channel\FunctionChannel => new Linguator\Core\Channel\FunctionChannel($name, $channel), array_keys($functions), $functions))->stickOrder()?->toString();
    expect($order(['throttle' => 1, 'aileron' => 2, 'elevator' => 3, 'rudder' => 4]))->toBe('TAER')
        ->and($order(['throttle' => 1, 'aileron' => 2, 'elevator' => 3]))->toBeNull()
        ->and($order(['throttle' => 1, 'aileron' => 2, 'elevator' => 3, 'rudder' => 5]))->toBeNull();
});
