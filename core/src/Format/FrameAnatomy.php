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
            $field = $this->field($part, $bytes, $frame, $at);
            $fields[] = ['name' => $field->name, 'from' => $at, 'bytes' => $size, 'hex' => bin2hex($bytes), 'says' => $field->says, 'sound' => $field->sound];
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

    private function field(Part $part, string $bytes, string $frame, int $at): FieldReading
    {
        return match ($part->kind) {
            'const' => new FieldReading($at === 0 ? 'start' : ($at + strlen($bytes) === strlen($frame) ? 'end' : 'type'), 'always '.bin2hex((string) $part->constant()), $bytes === $part->constant()),
            'channels' => new FieldReading('channels', count($this->layout->counts($frame)).' values'),
            'flags' => new FieldReading('flags', self::flags($part, ord($bytes))),
            'count' => new FieldReading('number of channels', (string) ord($bytes)),
            'length' => new FieldReading('length', ord($bytes).' bytes follow', $this->layout->lengthHolds($frame)),
            'value' => new FieldReading(self::VALUE_WORDS[$part->node->text('value')] ?? $part->node->text('value'), (string) ord($bytes)),
            default => new FieldReading(self::CHECK_WORDS[$part->node->text('check')] ?? 'check', $this->layout->checkHolds($frame) ? 'holds' : 'does not hold', $this->layout->checkHolds($frame)),
        };
    }

    private static function flags(Part $part, int $byte): string
    {
        $up = array_filter($part->flagBits(), static fn (int $bit): bool => ($byte >> $bit & 1) === 1);
        $words = array_map(static fn (string $flag): string => self::FLAG_WORDS[$flag] ?? $flag, array_keys($up));

        return $words === [] ? 'none up' : implode(', ', $words).' up';
    }
}
