<?php

declare(strict_types=1);

use Linguator\Core\Capture\ChannelLogText;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\Verbs;

/**
 * A log in which each stick goes to 2000, 1000 and back, one after the other.
 *
 * @param  array<string, list<int>>  $channelsOf  By stick letter: the channels it moves.
 */
function wiggle(array $channelsOf, int $channels = 6): stdClass
{
    $rows = [];
    foreach ($channelsOf as $moving) {
        foreach ([1500, 1500, 1700, 2000, 1700, 1500, 1300, 1000, 1300, 1500, 1500, 1500, 1500] as $value) {
            $us = array_fill(0, $channels, 1500);
            foreach ($moving as $channel) {
                $us[$channel - 1] = $value;
            }
            $rows[] = (object) ['t_ms' => count($rows) * 50, 'us' => $us];
        }
    }

    return (object) ['log' => $rows, 'sequence' => array_keys($channelsOf)];
}

it('deduces every one of the twenty-four orders', function () {
    foreach (Linguator\Core\Channel\ChannelOrder::all() as $order) {
        $moved = [];
        foreach (['T', 'R', 'E', 'A'] as $letter) {
            $moved[$letter] = [$order->channelOf(Linguator\Core\Channel\Letter::from($letter))];
        }
        $answer = (new Verbs(new Schemas))->ask('movement', wiggle($moved));
        expect($answer['order'])->toBe($order->toString())->and($answer['findings'])->toBe([]);
    }
});

it('gives no order when a stick rides beyond channel 4, but says where it rides', function () {
    $answer = (new Verbs(new Schemas))->ask('movement', wiggle(['T' => [6], 'R' => [4], 'E' => [2], 'A' => [1]]));
    expect($answer['order'])->toBeNull()->and($answer['channels'][5]['letter'])->toBe('T');
});

it('says that two moved together when a mix is on, and does not guess which is the stick', function () {
    $answer = (new Verbs(new Schemas))->ask('movement', wiggle(['T' => [3], 'R' => [4], 'E' => [2], 'A' => [1, 6]]));
    expect(array_column($answer['findings'], 'code'))->toContain('two_moved')
        ->and($answer['channels'][0]['letter'])->toBeNull()->and($answer['channels'][2]['letter'])->toBe('T');
});

it('reads a log however it was pasted', function (string $text) {
    $rows = ChannelLogText::rows($text);
    expect($rows)->toHaveCount(2)->and($rows[1]->t_ms)->toEqual(20.5)->and($rows[1]->us)->toEqual([1500, 1499.5]);
})->with([
    'commas with a heading' => "t_ms,ch1,ch2\n0,1500,1500\n20.5,1500,1499.5\n",
    'semicolons and decimal commas' => "t;a;b\r\n0;1500;1500\r\n20,5;1500;1499,5\r\n",
    'tabs, no heading' => "0\t1500\t1500\n\n20.5\t1500\t1499.5",
    'seconds, told by the heading' => "Time [s],ch1,ch2\n0,1500,1500\n0.0205,1500,1499.5\n",
    'microseconds, told by the heading' => "time_us\tch1\tch2\n0\t1500\t1500\n20500\t1500\t1499.5\n",
    'a heading that tells no unit' => "when;a;b\n0;1500;1500\n20,5;1500;1499,5\n",
    'a comma at the end' => "0,1500,1500,\n20.5,1500,1499.5,\n",
    'JSON rows' => '[{"t_ms":0,"us":[1500,1500]},{"t_ms":20.5,"us":[1500,1499.5]}]',
    'the whole question' => '{"log":[{"t_ms":0,"us":[1500,1500]},{"t_ms":20.5,"us":[1500,1499.5]}]}',
]);

it('names the line of a value that cannot be read', function () {
    expect(fn () => ChannelLogText::rows("t,a\n0,1500\n20,oops\n"))
        ->toThrow(fn (DocumentError $error) => expect($error->sourceLine)->toBe(3)->and($error->getMessage())->toContain('oops'));
});
