<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Quantity\Steps;

/** Every byte of a frame named: what it is, what it says. */
final readonly class FrameAnatomy
{
    private const FLAG_WORDS = ['digital_1' => 'first digital channel', 'digital_2' => 'second digital channel', 'frame_lost' => 'frame lost', 'failsafe' => 'failsafe'];

    private const VALUE_WORDS = ['rssi' => 'signal strength', 'lost' => 'lost frames', 'system' => 'system byte'];

    private const CHECK_WORDS = ['crc8' => 'CRC-8', 'crc16' => 'CRC-16', 'sum8' => 'sum', 'sum16' => 'sum', 'complement8' => 'complement of the sum', 'complement16' => 'complement of the sum', 'carry8' => 'sum with carries folded in'];

    private FrameLayout $layout;

    public function __construct(private FormatCard $card)
    {
        $this->layout = new FrameLayout($card);
    }

    /**
     * @param  string  $frame  Nothing escaped; sound or not, but of the right size.
     * @return list<array{name: string, from: int, bytes: int, hex: string, says: string, sound: bool}>
     */
    public function fields(string $frame): array
    {
        $fields = [];
        $at = 0;
        foreach ($this->card->parts as $part) {
            $size = $this->layout->partSize($part, strlen($frame));
            $bytes = substr($frame, $at, $size);
            [$name, $says, $sound] = $this->field($part, $bytes, $frame, $at);
            $fields[] = ['name' => $name, 'from' => $at, 'bytes' => $size, 'hex' => bin2hex($bytes), 'says' => $says, 'sound' => $sound];
            $at += $size;
        }

        return $fields;
    }

    /**
     * Where each channel's bits stand.
     *
     * @return list<array{channel: int, from_bit: int, bits: int, raw: int, us: float}> Bits counted from the first bit of the frame as it is sent, byte by byte.
     */
    public function channels(string $frame): array
    {
        $part = $this->card->channelPart();
        $bits = $part->node->textOrNull('channels') === 'packed' ? $part->valueBits() : 16;
        $from = 8 * $this->layout->channelsAt();
        $channels = [];
        $k = 0;
        foreach ($this->layout->counts($frame) as $channel => $raw) {
            $channels[] = ['channel' => $channel, 'from_bit' => $from + $bits * $k++, 'bits' => $bits, 'raw' => $raw, 'us' => Steps::clean($this->card->scale->us($raw))];
        }

        return $channels;
    }

    /** @return array{string, string, bool} Name, what it says, and whether it is as it should be. */
    private function field(Part $part, string $bytes, string $frame, int $at): array
    {
        return match ($part->kind) {
            'const' => [$at === 0 ? 'start' : ($at + strlen($bytes) === strlen($frame) ? 'end' : 'type'), 'always '.bin2hex((string) $part->constant()), $bytes === $part->constant()],
            'channels' => ['channels', count($this->layout->counts($frame)).' values', true],
            'flags' => ['flags', self::flags($part, ord($bytes)), true],
            'count' => ['number of channels', (string) ord($bytes), true],
            'length' => ['length', ord($bytes).' bytes follow', $this->layout->lengthHolds($frame)],
            'value' => [self::VALUE_WORDS[$part->node->text('value')] ?? $part->node->text('value'), (string) ord($bytes), true],
            default => [self::CHECK_WORDS[$part->node->text('check')] ?? 'check', $this->layout->checkHolds($frame) ? 'holds' : 'does not hold', $this->layout->checkHolds($frame)],
        };
    }

    private static function flags(Part $part, int $byte): string
    {
        $up = array_filter($part->flagBits(), static fn (int $bit): bool => ($byte >> $bit & 1) === 1);
        $words = array_map(static fn (string $flag): string => self::FLAG_WORDS[$flag] ?? $flag, array_keys($up));

        return $words === [] ? 'none up' : implode(', ', $words).' up';
    }
}
