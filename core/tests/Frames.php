<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;

/** Format cards and frames for properties: the shipped cards, and some such as a user writes. */
final class Frames
{
    /** Nine bits, an odd-parity line, escaped bytes, a CRC with a start value. */
    public static function ownCard(array $other = []): \stdClass
    {
        return json_decode(json_encode($other + [
            'id' => 'own', 'name' => 'My own', 'line' => ['baud' => 57600, 'parity' => 'odd', 'stop_bits' => 1, 'inverted' => false],
            'channels' => ['min' => 5, 'max' => 5], 'scale' => ['centre' => 256, 'us' => 2, 'max' => 511],
            'stuffing' => ['escape' => 16, 'xor' => 32],
            'parts' => [['const' => '02'], ['channels' => 'packed', 'bits' => 9], ['flags' => ['failsafe' => 3], 'base' => 128], ['check' => 'crc16', 'poly' => 0x8005, 'init' => 0xFFFF, 'order' => 'little', 'from' => 1], ['const' => '03']],
        ]));
    }

    /** @return array<string, array{FormatCard}> */
    public static function cards(): array
    {
        $line = ['baud' => 57600, 'parity' => 'none', 'stop_bits' => 1, 'inverted' => false];
        $own = [
            'own' => self::ownCard(),
            'most significant bit first, a plain sum' => self::ownCard(['stuffing' => null, 'line' => $line, 'channels' => ['min' => 6, 'max' => 6], 'scale' => ['centre' => 2048, 'us' => 0.5, 'max' => 4095], 'parts' => [['const' => 'aa55'], ['channels' => 'packed', 'bits' => 12, 'first' => 'msb'], ['check' => 'sum8', 'from' => 2]]]),
            'twelve bits over many words' => self::ownCard(['stuffing' => null, 'line' => $line, 'channels' => ['min' => 14, 'max' => 14], 'scale' => ['centre' => 4096, 'us' => 0.25, 'max' => 8191], 'parts' => [['const' => 'b1'], ['channels' => 'packed', 'bits' => 13, 'first' => 'msb'], ['check' => 'sum16', 'order' => 'big', 'from' => 0]]]),
            'framed by silence, counted' => self::ownCard(['stuffing' => null, 'line' => $line, 'silence_ms' => 2, 'channels' => ['min' => 4, 'max' => 4], 'scale' => ['centre' => 1500, 'us' => 1, 'max' => 4095], 'parts' => [['channels' => 'words', 'order' => 'big'], ['check' => 'complement8', 'from' => 0]]]),
            'counted words with a complement' => self::ownCard(['stuffing' => null, 'line' => $line, 'channels' => ['min' => 2, 'max' => 9], 'scale' => ['centre' => 1500, 'us' => 1, 'max' => 4095], 'parts' => [['const' => '5a'], ['count' => 'channels'], ['channels' => 'words', 'order' => 'little'], ['check' => 'complement16', 'order' => 'big', 'from' => 1]]]),
        ];
        foreach ($own as $name => $card) {
            if (($card->stuffing ?? null) === null) {
                unset($card->stuffing);
            }
            $own[$name] = [FormatCard::of($card, new Schemas)];
        }

        return array_map(static fn (string $id): array => [FormatCards::get($id)], array_combine(FormatCards::ids(), FormatCards::ids())) + $own;
    }

    public static function any(FormatCard $card): Frame
    {
        $in = $card->channelPart()->node->intOrNull('in_frame');
        $first = $in !== null && mt_rand(0, 1) === 1 ? $in + 1 : 1;
        $count = $in ?? mt_rand($card->fewestChannels, $card->mostChannels);
        $counts = [];
        for ($channel = $first; $channel < $first + $count; $channel++) {
            $counts[$channel] = mt_rand(0, $card->scale->max);
        }

        return new Frame($counts, array_map(static fn (): bool => mt_rand(0, 1) === 1, $card->flagPart()?->flagBits() ?? []));
    }

    /** @return list<string> Frames such as sticks send: plausible values, halves in turn. */
    public static function stream(FormatCard $card, int $frames): array
    {
        $encoder = new Encoder($card);
        $in = $card->channelPart()->node->intOrNull('in_frame');
        $all = [];
        for ($k = 0; $k < $frames; $k++) {
            $any = self::any($card);
            $channels = $in === null ? array_keys($any->counts) : range(1 + $in * ($k % 2), $in * ($k % 2) + $in);
            $all[] = $encoder->encode(new Frame(array_combine($channels, array_map(static fn (): int => $card->scale->count(mt_rand(900, 2100)), $channels)), $any->flags));
        }

        return $all;
    }
}
