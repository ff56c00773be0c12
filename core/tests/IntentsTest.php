<?php

declare(strict_types=1);

use Linguator\Core\Bench\Intents;
use Linguator\Core\Channel\FixPlace;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\ListChange;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Order\MendOrder;
use Linguator\Core\Steps\Path\PutFunction;
use Linguator\Core\Steps\Switches\PutChannelsRight;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\IntentExamples;

function meant(string $intent, array $told): Intent
{
    return (new Intents(new Schemas))->read($intent, json_decode((string) json_encode((object) $told)));
}

function refused(string $rig, string $intent, array $told): DocumentError
{
    try {
        meant($intent, $told)->on(DemoRigs::get($rig), new Occasion('2026-11-24T10:00:00Z', DemoRigs::shelf()));
    } catch (DocumentError $error) {
        return $error;
    }
    throw new LogicException("$intent was not refused");
}

it('does to a rig what a person means, and says so', function (string $rig, string $intent, array $told, string $sentence, string $place, mixed $after) {
    $before = DemoRigs::get($rig);
    $deed = meant($intent, $told)->on($before, new Occasion('2026-11-24T10:00:00Z', DemoRigs::shelf()));
    $result = $deed->patch->apply($before->document);
    $document = DemoRigs::changed($before, $deed->patch)->document;
    expect($deed->sentence)->toBe($sentence)
        ->and(RigPatch::same(IntentExamples::at($document, $place), json_decode((string) json_encode($after))))->toBeTrue($place.': '.json_encode(IntentExamples::at($document, $place)));
    // Taken back, the document is as it was, but for an object that is left empty.
    $back = RigPatch::takingBack($result->before, $result->after, array_map(ListChange::takingBack(...), $result->lists))->apply($document)->document;
    $back->settings = (object) array_filter((array) $back->settings, fn (mixed $value): bool => ! $value instanceof stdClass || (array) $value !== []);
    expect(RigPatch::same($back, $before->document))->toBeTrue();
})->with(fn () => array_combine(array_map(fn (int $k, array $example): string => "$k: {$example[1]}", array_keys(IntentExamples::ALL), IntentExamples::ALL), IntentExamples::ALL));

it('has an example of every intent, a class for every schema and a schema for every class', function () {
    $schema = json_decode((string) file_get_contents(Schemas::folder().'/intents.schema.json'), true);
    $onTheirOwn = ['mend-order', 'put-channels-right', 'take-up-again', 'follow-order'];
    expect(array_keys($schema['properties']))->toEqualCanonicalizing(array_keys(Intents::ALL))
        ->and([...array_unique(array_column(IntentExamples::ALL, 1)), ...$onTheirOwn])->toEqualCanonicalizing(array_keys(Intents::ALL));
});

it('changes lists by item, so that one change does not overwrite another', function () {
    $rig = DemoRigs::get('dunlin');
    $functions = count($rig->functions());
    // Both made by somebody who sees the same page.
    [$first, $second] = [new PutFunction('light', 8), new PutFunction('horn', 9)];
    $both = DemoRigs::did(DemoRigs::did($rig, $first), $second);
    expect($both->functions()->has('light'))->toBeTrue()->and($both->functions()->has('horn'))->toBeTrue()->and(count($both->functions()))->toBe($functions + 2);
    [$arm, $turtle] = [meant('set-window', ['window' => 'arm', 'channel' => 5, 'position' => 0, 'hi' => 2050]), meant('set-window', ['window' => 'arm', 'channel' => 5, 'position' => 0, 'lo' => 1666])];
    $both = DemoRigs::did(DemoRigs::did($rig, $arm), $turtle);
    expect([$both->windows()[0]->window->lo, $both->windows()[0]->window->hi])->toBe([1666.0, 2050.0]);
});

it('means a window by its name and channel, wherever it stands by now', function () {
    $rig = DemoRigs::get('dunlin');
    $second = $rig->windows()[1];
    $told = ['window' => $second->window->name, 'channel' => $second->channel, 'position' => 1];
    $without = DemoRigs::did($rig, meant('remove-window', ['window' => 'arm', 'channel' => 5, 'position' => 0]));
    $after = DemoRigs::did($without, meant('set-window', $told + ['lo' => 905]));
    expect($after->windows()[0]->window->name)->toBe($second->window->name)->and($after->windows()[0]->window->lo)->toBe(905.0)
        ->and(fn () => DemoRigs::did($without, meant('remove-window', ['window' => 'arm', 'channel' => 5, 'position' => 0])))->toThrow(DocumentError::class, 'any more');
});

it('mends the order at every place that this gear offers, and at no other', function () {
    $wrong = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['settings.order' => 'TAER', 'settings.controller_order' => 'AETR']));
    $places = [];
    foreach (FixPlace::cases() as $at) {
        try {
            $mended = DemoRigs::did($wrong, new MendOrder($at));
            expect(DemoRigs::review($mended)['order']['right'])->toBeTrue();
            $places[] = $at;
        } catch (DocumentError $error) {
            expect($error->path)->toBe('at');
        }
    }
    expect($places)->toBe([FixPlace::Controller, FixPlace::Handset]);
});

it('puts functions and their switches on other channels together', function () {
    $rig = DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(json_decode('{"craft.functions":[{"function":"arm","channel":5},{"function":"mode","channel":5}],"settings.switches":[{"function":"arm","channel":5},{"function":"mode","channel":5}]}', true)));
    $right = DemoRigs::did(DemoRigs::changed($rig, RigPatch::of([])), new PutChannelsRight);
    expect($right->functions()->channelOf('mode'))->toBe(6)->and($right->switchOf('mode')->channel)->toBe(6)->and(DemoRigs::review($right)['switches']['proposal'])->toBeNull();
});

it('refuses what the rig has not, at the key where it is named', function (string $rig, string $intent, array $told, string $path, string $words) {
    $error = refused($rig, $intent, $told);
    expect($error->path)->toBe($path)->and($error->getMessage())->toContain($words);
})->with([
    'a wire that is not there' => ['avocet', 'colour-wire', ['row' => 'nowhere', 'wire' => 'plus', 'colour' => 'red'], 'row', 'no wire "nowhere"'],
    'a colour of a fourth wire' => ['avocet', 'colour-wire', ['row' => 'x', 'wire' => 'spare', 'colour' => 'red'], 'wire', 'spare'],
    'a setting nobody asks for' => ['avocet', 'tick-setting', ['box' => 'brack-m4', 'setting' => 'wings', 'done' => true], 'setting', 'wings'],
    'a line of another list' => ['avocet', 'tick-handset', ['item' => 'lunch', 'done' => true], 'item', 'lunch'],
    'a second switch for one function' => ['dunlin', 'assign-switch', ['function' => 'arm'], 'function', 'already'],
    'a window upside down' => ['dunlin', 'set-window', ['window' => 'arm', 'channel' => 5, 'position' => 0, 'lo' => 2100], 'lo', 'lower edge below the upper'],
    'both edges upside down' => ['dunlin', 'set-window', ['window' => 'arm', 'channel' => 5, 'position' => 0, 'lo' => 2100, 'hi' => 2000], 'hi', '2100 to 2000'],
    'one level' => ['dunlin', 'set-switch', ['function' => 'arm', 'curve' => [5]], 'curve', 'at least two'],
    'nothing set' => ['dunlin', 'set-switch', ['function' => 'arm'], '', 'Found one key; expected at least 2'],
    'a switch that is not there' => ['dunlin', 'set-switch', ['function' => 'horn', 'weight' => 5], 'function', 'horn'],
    'rates of a throttle' => ['dunlin', 'set-rates', ['channel' => 3, 'expo_pct' => 5], 'channel', 'rates'],
    'rates out of bounds' => ['dunlin', 'set-rates', ['channel' => 1, 'expo_pct' => 101], 'expo_pct', '101'],
    'thresholds without a controller' => ['sanderling', 'set-thresholds', ['low' => 1000], '', 'no controller'],
    'channels that are right' => ['dunlin', 'put-channels-right', [], '', 'Nothing is wrong'],
    'levels of another switch' => ['dunlin', 'set-switch', ['function' => 'mode', 'levels_us' => [990, 2010]], 'levels_us', 'Found 2 levels; expected 3, one for each position of L2.'],
    'an order that is right' => ['dunlin', 'mend-order', ['at' => 'controller'], 'at', 'cannot be mended'],
    'a check of another step' => ['avocet', 'make-check', ['check' => 'bind', 'passed' => true], 'check', 'its own step, bind'],
    'a sign-off by nobody' => ['avocet', 'sign-off', ['by' => '  '], 'by', 'Nobody'],
    'a sign-off before it is ready' => ['oystercatcher', 'sign-off', ['by' => 'Wren'], '', 'cannot be signed off'],
    'a way this receiver has not' => ['oystercatcher', 'set-failsafe', ['hop' => 1, 'mode' => 'stored', 'set_by' => 'bind'], 'set_by', 'this receiver has'],
    'an empty note' => ['avocet', 'write-note', ['text' => '   '], 'text', 'empty'],
    'a note too long' => ['avocet', 'write-note', ['text' => str_repeat('x', 2001)], 'text', '2000'],
    'an intent that is none' => ['avocet', 'fly', [], 'intent', 'expected one of'],
    'a movement without sticks' => ['avocet', 'keep-order-check', ['moved' => ['Q' => 'A']], 'moved.Q', 'expected a stick'],
    'a log that is none' => ['avocet', 'keep-order-check', ['log' => "0,1500\n10,?", 'sequence' => ['T']], 'log', '"?"'],
]);

it('gives no function a channel that something rides on', function () {
    $rig = RigDocument::of(RigDocument::blank('New', 'plane'));
    for ($k = 5; $k <= 16; $k++) {
        $rig = DemoRigs::did($rig, meant('assign-switch', ['function' => "aux_$k"]));
        expect($rig->switchOf("aux_$k")->channel)->toBe($k);
    }
    expect(fn () => DemoRigs::did($rig, meant('assign-switch', ['function' => 'late'])))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe('channel'));
});

it('counts levels that were read, until the switch is set otherwise', function () {
    $read = DemoRigs::did(DemoRigs::get('dunlin'), meant('set-switch', ['function' => 'mode', 'levels_us' => [991, 1502, 2009]]));
    expect($read->switchOf('mode')?->levels()->us(2))->toBe(1502.0);
    foreach ([['weight' => 80], ['offset' => 5], ['curve' => [-80, 0, 80]], ['switch' => 'R2']] as $told) {
        expect(DemoRigs::did($read, meant('set-switch', ['function' => 'mode'] + $told))->switchOf('mode')?->measured)->toBeNull();
    }
    expect(DemoRigs::did($read, meant('set-switch', ['function' => 'mode', 'power_up' => 2]))->switchOf('mode')?->measured)->toBe([991.0, 1502.0, 2009.0]);
});
