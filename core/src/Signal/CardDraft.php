<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** A format card to go on from, filled with what a capture that is not recognised showed; what cannot be measured is marked with a question. */
final readonly class CardDraft
{
    private const USUAL_BAUD = 115_200;

    private const USUAL_BYTES = 16;

    private const USUAL_MS = 10;

    /** Sixteen channels of eleven bits, by themselves or with a byte of flags. */
    private const PACKED_BYTES = [22, 23];

    private function __construct(private Begin $begin, private ?UnknownFrame $frame)
    {
    }

    public static function text(Unrecognised $decoding): string
    {
        return (new self($decoding->begin, $decoding->frame))->yaml();
    }

    private function yaml(): string
    {
        $facts = $this->begin->facts;
        $baud = $facts?->baud() ?? self::USUAL_BAUD;
        $parity = $this->begin->unknownLine->parity ?? 'none';
        $isInverted = $this->begin->unknownLine->isInverted ?? ($facts !== null && $facts->idle === 0);
        $size = $this->frame->size ?? self::USUAL_BYTES;
        $frameUs = $size * ($this->begin->unknownLine?->byteUs() ?? 0.0);
        $period = $facts === null || $facts->betweenUs <= 0 ? self::USUAL_MS : max(1, (int) round(($facts->betweenUs + $frameUs) / 1000));
        $header = $this->frame === null || $this->frame->header === '' ? '00' : bin2hex($this->frame->header);
        [$channels, $scale, $payload] = $this->payload($size - $this->around());

        return implode("\n", [
            '# From what was measured; mend what you know better.',
            'id: my-format',
            'name: My format',
            "line: {baud: $baud, parity: $parity, stop_bits: 1, inverted: ".($isInverted ? 'true' : 'false').'}',
            "period_ms: {usual: $period}",
            "channels: {min: $channels, max: $channels}",
            '# What count is 1500 µs, and how many µs is one count?',
            "scale: $scale",
            'parts:',
            "  - {const: \"$header\"}",
            ...$payload,
            $this->frame === null ? '  # No length was seen to repeat. Is there a check at the end?' : "  # Every $size bytes it repeats.".($this->frame->check === null ? ' Is there a check at the end?' : ' This check holds:'),
            '  - {'.implode(', ', self::pairs($this->frame?->check->node->value ?? (object) ['check' => 'sum8', 'from' => 0])).'}',
            ...($this->frame === null || $this->frame->ending === '' ? [] : ['  - {const: "'.bin2hex($this->frame->ending).'"}']),
            '',
        ]);
    }

    /** Bytes of header, check and ending. */
    private function around(): int
    {
        return max(1, strlen($this->frame->header ?? '')) + ($this->frame?->check?->checkBytes() ?? 1) + strlen($this->frame->ending ?? '');
    }

    /** @return array{int, string, list<string>} Number of channels, scale, and the parts between header and check. */
    private function payload(int $bytes): array
    {
        if (in_array($bytes, self::PACKED_BYTES, true)) {
            $flags = $bytes > self::PACKED_BYTES[0] ? ['  - {flags: {frame_lost: 2, failsafe: 3}}'] : [];

            return [16, '{centre: 992, us: 0.625, max: 2047}', ['  - {channels: packed, bits: 11}', ...$flags]];
        }
        // A byte too many for whole words stands before them more often than behind.
        $odd = $bytes % 2 === 1 ? ['  - {value: system}'] : [];
        $words = max(1, intdiv($bytes, 2));
        [$order, $middle] = $this->words(max(1, strlen($this->frame->header ?? '')) + count($odd), $words);
        $scale = $middle > 4095 ? '{centre: 12000, us: 0.125, max: 65535}' : '{centre: 1500, us: 1, max: 4095}';

        return [$words, $scale, [...$odd, "  - {channels: words, order: $order}"]];
    }

    /** @return array{string, float} Which end comes first, by which byte of the words changes less; and the middle of their values. */
    private function words(int $from, int $words): array
    {
        $seen = [[], []];
        $values = ['little' => [], 'big' => []];
        foreach ($this->frame->frames ?? [] as $frame) {
            for ($k = 0; $k < $words; $k++) {
                [$first, $second] = [ord($frame[$from + 2 * $k] ?? "\0"), ord($frame[$from + 2 * $k + 1] ?? "\0")];
                [$seen[0][$first], $seen[1][$second]] = [true, true];
                $values['little'][] = $second << 8 | $first;
                $values['big'][] = $first << 8 | $second;
            }
        }
        $order = count($seen[0]) < count($seen[1]) ? 'big' : 'little';
        sort($values[$order]);

        return [$order, $values[$order][intdiv(count($values[$order]), 2)] ?? 0.0];
    }

    /** @return list<string> */
    private static function pairs(\stdClass $part): array
    {
        $values = get_object_vars($part);

        return array_map(static fn (string $key, mixed $value): string => "$key: ".($key === 'poly' && is_int($value) ? sprintf('0x%02X', $value) : (is_scalar($value) ? $value : '')), array_keys($values), $values);
    }
}
