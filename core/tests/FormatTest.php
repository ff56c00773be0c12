<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;
use Linguator\Core\Tests\FrameReader;
use Linguator\Core\Tests\Frames;
use Linguator\Core\Verb\Verbs;

it('reads back every frame it makes', function (FormatCard $card) {
    mt_srand(11);
    for ($k = 0; $k < 500; $k++) {
        $frame = Frames::any($card);
        $read = (new FrameReader($card))->read((new Encoder($card))->encode($frame));
        expect($read)->toBeInstanceOf(Frame::class)->and($read->counts)->toBe($frame->counts)->and($read->flags)->toBe($frame->flags);
    }
})->with(fn () => Frames::cards());

it('never takes a broken frame of a checked format for a whole one with other values', function (FormatCard $card) {
    mt_srand(12);
    $isChecked = array_filter($card->parts, fn ($part) => $part->kind === 'check') !== [];
    for ($k = 0; $k < 500; $k++) {
        $wire = (new Encoder($card))->encode(Frames::any($card));
        expect((new FrameReader($card))->read(substr($wire, 0, mt_rand(0, strlen($wire) - 1))))->toBeString();
        if ($isChecked) {
            $at = mt_rand(0, strlen($wire) - 1);
            $broken = $wire;
            $broken[$at] = chr(ord($wire[$at]) ^ 1 << mt_rand(0, 7));
            expect((new FrameReader($card))->read($broken))->toBeString();
        }
    }
})->with(fn () => Frames::cards());

it('takes as long as the line says', function (string $id, float $ms) {
    $card = FormatCards::get($id);
    expect($card->durationMs(strlen((new Encoder($card))->plain(new Frame(array_fill(1, $card->mostChannels, 0))))))->toEqualWithDelta($ms, 0.005);
})->with([['s100i', 3.0], ['s420c', 0.619], ['s115u', 2.778], ['s115f', 2.517]]);

it('sends fourteen channels of tagged words in two frames, the second one marked', function () {
    $ask = fn (array $more): array => (new Verbs(new Schemas))->ask('encode', json_decode(json_encode(['format' => 's115t', 'frames' => [['us' => array_fill(0, 9, 1500)]]] + $more)))['hex'];
    expect($ask([]))->toBe(['0012'.'0400'.'0c00'.'1400'.'1c00'.'2400'.'2c00'.'3400', '0012'.'bc00'.'4400'.'4c00'.'5400'.'5c00'.'6400'.'6c00'])
        ->and($ask(['kind' => 10]))->toBe(['0001'.'0200'.'0600'.'0a00'.'0e00'.'1200'.'1600'.'1a00', '0001'.'1e00'.'2200'.'2600'.'2a00'.'2e00'.'3200'.'3600']);
});

it('sends digital channels, counts before µs, and a signal strength where there is one', function () {
    $ask = fn (array $in): string => (new Verbs(new Schemas))->ask('encode', json_decode(json_encode($in)))['hex'][0];
    expect(substr($ask(['format' => 's100i', 'frames' => [['us' => [...array_fill(0, 16, 1500), 2012, 988]]]]), -4))->toBe('0100')
        ->and($ask(['format' => 's420c', 'frames' => [['raw' => [172], 'us' => [2000, 1500]]]]))->toStartWith('c81816ac00')
        ->and($ask(['format' => 's115f', 'rssi' => 7, 'frames' => [['us' => []]]]))->toContain('0007');
});

it('says what is wrong with a card, and where', function (array $other, string $path) {
    expect(fn () => (new Verbs(new Schemas))->ask('encode', (object) ['card' => Frames::ownCard($other), 'frames' => [(object) ['us' => []]]]))
        ->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'no channels' => [['parts' => [['const' => '02']]], 'card.parts'],
    'a check without its polynomial' => [['stuffing' => null, 'parts' => [['channels' => 'packed', 'bits' => 9], ['check' => 'crc8', 'from' => 0]]], 'card.stuffing'],
    'words without an order' => [['parts' => [['const' => '02'], ['channels' => 'words'], ['const' => '03']]], 'card.parts.1.order'],
    'more counts than bits' => [['scale' => ['centre' => 256, 'us' => 2, 'max' => 512]], 'card.scale.max'],
    'upside-down channels' => [['channels' => ['min' => 6, 'max' => 5]], 'card.channels.max'],
]);

it('refuses what the format cannot carry', function (array $in, string $path) {
    expect(fn () => (new Verbs(new Schemas))->ask('encode', json_decode(json_encode($in))))
        ->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'a pulse format' => [['format' => 'ppm', 'frames' => [['us' => [1500]]]], 'format'],
    'neither format nor card' => [['frames' => [['us' => [1500]]]], 'format'],
    'too many channels' => [['format' => 's115u', 'frames' => [['us' => array_fill(0, 15, 1500)]]], 'frames.0.us'],
    'a frame of nothing' => [['format' => 's115u', 'frames' => [[]], 'kind' => 11], 'frames.0'],
    'a kind where there is one only' => [['format' => 's115u', 'kind' => 10, 'frames' => [['us' => [1500]]]], 'kind'],
]);
