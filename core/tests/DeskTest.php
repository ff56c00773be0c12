<?php

declare(strict_types=1);

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\FormatCardText;
use Linguator\Core\Format\Frame;
use Linguator\Core\Signal\DecodeOptions;
use Linguator\Core\Signal\Decoder;
use Linguator\Core\Signal\DeskView;
use Linguator\Core\Signal\UnknownFrame;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;
use Linguator\Core\Tests\Decode;
use Linguator\Core\Tests\Frames;
use Linguator\Core\Tests\Seeded;

function deskOf(string $capture): array
{
    return (array) (new DeskView((new Decoder(FormatCards::all()))->decode(Source::ofText($capture), new DecodeOptions)))->jsonSerialize();
}

/** A card without escaped bytes. */
function plainCard(array $other): stdClass
{
    $card = Frames::ownCard($other);
    unset($card->stuffing);

    return $card;
}

/**
 * Frames of 16 channels, each swept between its ends.
 *
 * @param  array<int, array{int, int}>  $ends  µs by channel; the others rest.
 */
function swept(array $ends, int $frames = 120): string
{
    $card = FormatCards::get('s420c');
    $encoder = new Encoder($card);
    $bytes = '';
    for ($k = 0; $k < $frames; $k++) {
        $counts = [];
        for ($channel = 1; $channel <= 16; $channel++) {
            [$lo, $hi] = $ends[$channel] ?? [1500, 1500];
            $counts[$channel] = $card->scale->count($lo + ($hi - $lo) * ($k % 40) / 39);
        }
        $bytes .= $encoder->encode(new Frame($counts));
    }

    return $bytes;
}

it('says in the answer which channel does not go as far as the others', function (array $ends, string $says) {
    $sentence = deskOf(swept($ends))['sentence'];
    expect($sentence)->toBe(rtrim("This is 16 × 11-bit, 420 k with CRC-8. All 120 frames are sound. $says"));
})->with([
    'a throttle that does not come down' => [[1 => [988, 2012], 2 => [988, 2012], 3 => [1085, 2012], 4 => [988, 2012]], 'Channel 3 never goes below 1085 µs.'],
    'an end that is not reached' => [[1 => [988, 2012], 2 => [988, 1900]], 'Channel 2 never goes above 1900 µs.'],
    'one stick alone' => [[3 => [1085, 2000]], 'Channel 3 never goes below 1085 µs.'],
    'a stick that was moved half way only' => [[3 => [1100, 1900]], ''],
    'all of them short alike' => [[1 => [1100, 1900], 2 => [1100, 1900], 3 => [1100, 1900]], ''],
    'all of them full' => [[1 => [988, 2012], 2 => [1000, 2000]], ''],
    'a switch that moves a little' => [[5 => [1400, 1700]], ''],
    'nothing moves' => [[], ''],
]);

it('says what it is in a sentence, whatever it is', function (string $capture, string $says) {
    expect(deskOf($capture)['sentence'])->toBe($says);
})->with([
    'one frame' => [fn () => swept([], 1).swept([], 1), 'This is 16 × 11-bit, 420 k with CRC-8. All 2 frames are sound.'],
    'a damaged one' => [fn () => substr_replace(swept([], 50), "\0", 26 * 10 + 5, 1), 'This is 16 × 11-bit, 420 k with CRC-8. 49 of 50 frames are sound.'],
    'a log' => ["t_ms,ch1,ch2\n0,1500,1000\n20,1501,1000\n", 'This is a log of values: 2 rows of 2 channels.'],
    'something else' => [str_repeat('moin moin ', 300), 'This is none of the formats known here.'],
    'a train' => [fn () => implode('', iterator_to_array(Recording::of(StandInOptions::of((object) ['format' => 'ppm', 'seconds' => 1, 'channels' => 6], new Schemas), CaptureKind::Csv), false)), 'This is a pulse train of 6 channels. All 45 frames are sound.'],
]);

it('draws the channel first that moves most, and names those that stand still', function () {
    $desk = deskOf(swept([2 => [1400, 1600], 5 => [1100, 1900], 7 => [1499, 1500.5]]));
    expect($desk['shown_channel'])->toBe(5)->and($desk['still'])->toBe([1, 3, 4, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16]);
    $unknown = deskOf(str_repeat('moin moin ', 300));
    expect($unknown['shown_channel'])->toBeNull()->and($unknown['still'])->toBe([])->and($unknown['spans'])->toBe([]);
});

/** Formats that nobody has told the decoder of. */
function strangers(): array
{
    $words = fn (string $order): array => ['channels' => 'words', 'order' => $order];
    $line = fn (int $baud, string $parity, bool $isInverted = false): array => ['baud' => $baud, 'parity' => $parity, 'stop_bits' => 1, 'inverted' => $isInverted];
    $eighths = ['centre' => 12000, 'us' => 0.125, 'max' => 65535];
    $plain = ['centre' => 1500, 'us' => 1, 'max' => 4095];

    return [
        'a sum over little-endian words' => [['line' => $line(57600, 'none'), 'channels' => ['min' => 4, 'max' => 4], 'scale' => $plain, 'parts' => [['const' => 'b4d2'], $words('little'), ['check' => 'sum8', 'from' => 2]]]],
        'a CRC over big-endian words, odd parity' => [['line' => $line(230400, 'odd'), 'channels' => ['min' => 6, 'max' => 6], 'scale' => $plain, 'parts' => [['const' => '5aa5'], $words('big'), ['check' => 'crc8', 'poly' => 7, 'from' => 2]]]],
        'eighths with a long CRC, upside down' => [['line' => $line(250000, 'none', true), 'channels' => ['min' => 8, 'max' => 8], 'scale' => $eighths, 'parts' => [['const' => 'a1'], $words('big'), ['check' => 'crc16', 'poly' => 0x1021, 'init' => 0xFFFF, 'order' => 'little', 'from' => 0]]]],
        'packed bits with flags and an ending' => [['line' => $line(460800, 'even'), 'channels' => ['min' => 16, 'max' => 16], 'scale' => ['centre' => 992, 'us' => 0.625, 'max' => 2047], 'parts' => [['const' => 'd7'], ['channels' => 'packed', 'bits' => 11], ['flags' => ['frame_lost' => 2, 'failsafe' => 3]], ['check' => 'complement8', 'from' => 1], ['const' => '33']]]],
    ];
}

it('drafts a card for a format that nobody knows, and the draft reads it as it stands', function (array $stranger, CaptureKind $kind) {
    $card = FormatCard::of(plainCard(['id' => 'stranger'] + $stranger), new Schemas);
    $options = StandInOptions::of((object) ['format' => 'stranger', 'seconds' => 1.5, 'period_ms' => 10], new Schemas, [$card]);
    $capture = implode('', iterator_to_array(Recording::of($options, $kind), false));
    $desk = deskOf($capture);
    expect($desk['sentence'])->toBe('This is none of the formats known here.')->and($desk['card_draft'])->not->toBeNull();

    $draft = FormatCardText::value($desk['card_draft']);
    $answer = json_decode(Json::compact(Decode::answer(Source::ofText($capture), (object) ['card' => $draft])), true);
    expect($answer['format'])->toBe('my-format', $desk['card_draft'])->and($answer['frames'])->toMatchArray(['good' => 150, 'bad' => 0]);
    $known = json_decode(Json::compact(Decode::answer(Source::ofText($capture), new stdClass, [$card])), true);
    expect($known['format'])->toBe('stranger')->and(array_column($answer['channels'], 'max_us'))->toBe(array_column($known['channels'], 'max_us'))
        ->and(array_column($answer['channels'], 'mean_us'))->toBe(array_column($known['channels'], 'mean_us'));
    if ($kind === CaptureKind::Csv) {
        expect($draft->period_ms->usual)->toBe(10)->and($draft->line->baud)->toBe($card->baud)->and($draft->line->parity)->toBe($card->parity)->and($draft->line->inverted)->toBe($card->isInverted);
    }
})->with(fn () => strangers())->with([CaptureKind::Binary, CaptureKind::Csv]);

it('finds no check where there is none, and no frame in noise or a byte that never changes', function () {
    mt_srand(82);
    mt_srand(7);
    foreach ([Seeded::bytes(5000), str_repeat("\0", 5000), str_repeat('ab', 2500), '', "\1\2"] as $bytes) {
        expect(UnknownFrame::in($bytes)?->check)->toBeNull();
    }
    $frames = '';
    for ($k = 0; $k < 300; $k++) {
        $frames .= 'HEAD'.pack('v*', 1500 + $k, 77, 1400 - $k).'xyz!';
    }
    $found = UnknownFrame::in($frames);
    expect($found)->size->toBe(14)->check->toBeNull()->header->toBe('H');
    // Cut in the middle of a frame: the check tells where frames begin.
    $card = FormatCard::of(plainCard(strangers()['a sum over little-endian words'][0]), new Schemas);
    $found = UnknownFrame::in(substr(implode('', Frames::stream($card, 100)), 5));
    expect($found->size)->toBe(11)->and(bin2hex($found->header))->toBe('b4d2')->and($found->check->node->value)->toEqual((object) ['check' => 'sum8', 'from' => 2]);
});
