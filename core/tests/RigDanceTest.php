<?php

declare(strict_types=1);

use Linguator\Core\Bench\DanceRehearsal;
use Linguator\Core\Bench\DanceScript;
use Linguator\Core\Bench\RigDance;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Travel\TakeSettings;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Tests\BenchRigs;
use Linguator\Core\Tests\DemoRigs;

function rehearsed(RigDocument $rig, array $faults = []): stdClass
{
    $told = $faults === [] ? [] : ['faults' => array_map(static fn (string $cause): stdClass => (object) ['cause' => $cause], $faults)];

    return (new DanceRehearsal($rig, new Node((object) $told), Formats::shipped()))->danced(5);
}

function danceTaken(RigDocument $rig, RigDance $dance, array $keys): RigDocument
{
    return DemoRigs::changed($rig, $dance->taking($keys, 'Wren', new Occasion('2026-11-29T10:00:00Z', DemoRigs::shelf()))->patch);
}

it('sees every move of every rig that the dry bench dances, in the order its record says', function (string $name) {
    $rig = BenchRigs::get($name);
    $dance = new RigDance($rig, new Node(rehearsed($rig)));
    expect($dance->deduction->redo())->toBe([], $name);
    foreach ($dance->deduction->channels as $read) {
        if ($read->move?->letter !== null) {
            expect($read->channel)->toBe((new OrderReview($rig))->channelOf($read->move->letter->functionName()), $name);
        }
    }
    $lines = array_column($dance->lines(), 'writes', 'key');
    expect($lines['order'] ?? 'proof: each stick moves what it should')->toBe('proof: each stick moves what it should', $name);
})->with(fn () => BenchRigs::names());

it('asks for sticks, switches and knobs in their order, and leaves out a throttle that springs', function () {
    expect((new DanceScript(DemoRigs::get('dunlin')))->words())->toBe([
        'Hands off, throttle low.', 'Throttle: up, hold it, and back down.', 'Rudder: right, hold; left, hold; let go.', 'Elevator: up, hold; down, hold; let go.', 'Aileron: right, hold; left, hold; let go.',
        'Switch L1: through its 2 positions, half a second each, and back to the first.', 'Switch L2: through its 3 positions, half a second each, and back to the first.', 'Knob W1: to its high end, to its low end, to its middle.', 'Hands off, throttle low.',
    ])->and(json_encode((new DanceScript(DemoRigs::get('mudlark')))->moves()))->not->toContain('"T"');
});

it('writes what was seen, line by line or all in one change, and says what should be nodded to', function () {
    $rig = DemoRigs::get('dunlin');
    $dance = new RigDance($rig, new Node(rehearsed($rig)));
    $lines = array_column($dance->lines(), null, 'key');
    expect(array_keys($lines))->toBe(['order', 'travel/A', 'travel/E', 'travel/T', 'travel/R', 'levels/arm', 'levels/mode'])
        ->and($lines['travel/A']->doubt)->toContain('A rate or expo')->and($lines['travel/T']->doubt)->toBeNull()->and($lines['travel/T']->move)->toBe(1);
    $all = danceTaken($rig, $dance, array_keys($lines));
    $ends = array_column($all->settings()->value->channels, 'ends_us', 'channel');
    expect(abs($ends[3][0] - 1085))->toBeLessThan(1)->and(abs($ends[4][1] - 1518))->toBeLessThan(1)
        ->and(count($all->document->measurements))->toBe(count($rig->document->measurements) + 4)
        ->and($all->document->checks[count($all->document->checks) - 1]->check)->toBe('order')
        ->and($all->switchOf('mode')?->measured)->toHaveCount(3)
        // What was written before stays, and the rest is as it was.
        ->and($all->settings()->value->windows)->toEqual($rig->settings()->value->windows);
    $one = danceTaken($rig, $dance, ['travel/R']);
    expect(count($one->document->measurements))->toBe(count($rig->document->measurements) + 1)->and($one->document->checks ?? [])->toEqual($rig->document->checks ?? []);
});

it('is not told one thing and shown another: an order that differs is a failed check', function () {
    $rig = DemoRigs::get('dunlin');
    $swapped = rehearsed($rig);
    foreach ($swapped->log as $row) {
        [$row->us[0], $row->us[3]] = [$row->us[3], $row->us[0]];
    }
    $dance = new RigDance($rig, new Node($swapped));
    $order = array_column($dance->lines(), null, 'key')['order'];
    expect($order->writes)->toBe('a failed check: the sticks arrive as RETA, AETR is wanted');
    $checks = danceTaken($rig, $dance, ['order'])->document->checks;
    expect($checks[count($checks) - 1]->result)->toBe('fail');
});

it('says nothing of the order where the record is not right yet', function () {
    $rig = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['settings.order' => 'TAER']));
    expect(array_column((new RigDance($rig, new Node(rehearsed($rig))))->lines(), 'key'))->not->toContain('order');
});

it('refuses a line that there is not, an order that nobody saw, and a dance in which nothing arrives', function () {
    $rig = DemoRigs::get('dunlin');
    $dance = new RigDance($rig, new Node(rehearsed($rig)));
    $occasion = new Occasion('2026-11-29T10:00:00Z', DemoRigs::shelf());
    $at = static fn (string $path): Closure => static fn (DocumentError $error) => expect($error->path)->toBe($path);
    expect(fn () => $dance->taking(['travel/A', 'wings'], 'Wren', $occasion))->toThrow($at('keys.1'));
    expect(fn () => $dance->taking([], 'Wren', $occasion))->toThrow($at('keys'));
    expect(fn () => $dance->taking(['order'], ' ', $occasion))->toThrow($at('by'));
    expect(fn () => rehearsed($rig, ['wrong_radio_on']))->toThrow(DocumentError::class);
});

it('writes no travel of an end that was only touched', function () {
    $rig = DemoRigs::get('dunlin');
    $danced = rehearsed($rig);
    $touched = 0;
    foreach ($danced->log as $row) {
        // The rudder is let go of again at once.
        $touched += $row->us[3] < 1050 ? 1 : 0;
        if ($touched > 3 && $row->us[3] < 1510) {
            $row->us[3] = 1518.0 + ($touched % 3) / 2;
        }
    }
    expect($touched)->toBeGreaterThan(10);
    $dance = new RigDance($rig, new Node($danced));
    expect($dance->deduction->moves[2]->state->isFound())->toBeTrue()->and(array_column($dance->lines(), 'key'))->toContain('travel/T')->not->toContain('travel/R');
});

it('says of settings that were entered whether they came out, or how far they are off', function () {
    $rig = DemoRigs::get('avocet');
    $lines = static fn (stdClass $danced): array => array_column((new RigDance($rig, new Node($danced), true))->lines(), 'writes', 'key');
    $danced = (new DanceRehearsal($rig, new Node(new stdClass), Formats::shipped()))->danced(4, true);
    expect($danced->prompts)->toHaveCount(6);
    $right = $lines($danced);
    expect($right['travel/T'])->toEndWith('as it should be: confirmed')
        // Its elevator is reversed in the handset, and so it should be.
        ->and($right['travel/E'])->toEndWith(', falling, as it should be: confirmed');
    $channel = (new OrderReview($rig))->channelOf('throttle') - 1;
    foreach ($danced->log as $row) {
        $row->us[$channel] += $row->us[$channel] > 1800 ? 12 : 0;
    }
    expect($lines($danced)['travel/T'])->toMatch('/, 1[12](\.\d)? µs off still$/');
    // One that falls where nothing is reversed is nothing that was entered.
    $aileron = (new OrderReview($rig))->channelOf('aileron') - 1;
    foreach ($danced->log as $row) {
        $row->us[$aileron] = 3000 - $row->us[$aileron];
    }
    expect($lines($danced)['travel/A'])->toEndWith('µs read, falling');
    // What was never entered is only read.
    $fresh = DemoRigs::changed($rig, RigPatch::of(['measurements' => []]));
    expect(array_column((new RigDance($fresh, new Node((new DanceRehearsal($fresh, new Node(new stdClass), Formats::shipped()))->danced(4, true)), true))->lines(), 'writes', 'key')['travel/T'])->toEndWith('µs read');
});

it('offers thresholds once the throttle was read where it belongs, and takes them with that reading only', function () {
    $occasion = new Occasion('2026-11-29T10:00:00Z', DemoRigs::shelf());
    $rig = DemoRigs::get('dunlin');
    expect(array_column((new RigDance($rig, new Node(rehearsed($rig))))->lines(), 'key'))->not->toContain('thresholds');
    $set = DemoRigs::changed($rig, TakeSettings::read(new Node((object) ['channels' => [3]]))->on($rig, $occasion)->patch);
    $dance = new RigDance($set, new Node(rehearsed($set)));
    expect(array_column($dance->lines(), 'writes', 'key')['thresholds'])->toBe('low 1010 µs, high 1990 µs');
    $taken = danceTaken($set, $dance, ['travel/T', 'thresholds']);
    expect($taken->settings()->value->thresholds->low)->toEqual(1010)->and((new TravelReview($taken))->thresholds()->suggested->low)->toEqual(1010);
    // A throttle that somebody should nod to first gives none.
    $danced = rehearsed($set);
    foreach ($danced->log as $row) {
        $row->us[2] = 3000 - $row->us[2];
    }
    $doubtful = array_column((new RigDance($set, new Node($danced)))->lines(), 'doubt', 'key');
    expect($doubtful)->not->toHaveKey('thresholds');
    foreach ([['thresholds'], ['thresholds', 'travel/T'], ['order', 'thresholds']] as $keys) {
        expect(fn () => $dance->taking($keys, 'Wren', $occasion))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('keys.'.array_search('thresholds', $keys, true))->and($error->getMessage())->toContain('travel of throttle'));
    }
});
