<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** A format card to go on from, filled with what a capture that is not recognised showed; what cannot be measured is marked with a question. */
final class CardDraft
{
    private const USUAL_BAUD = 115_200;

    private const USUAL_BYTES = 16;

    private const USUAL_MS = 10;

    public static function text(Decoding $decoding): string
    {
        $facts = (new ByteFacts($decoding->firstBytes))->toArray();
        $bytes = $facts['frame_bytes'] ?? self::USUAL_BYTES;
        $baud = $decoding->facts?->baud() ?? self::USUAL_BAUD;
        $isInverted = $decoding->facts !== null && $decoding->facts->idle === 0;
        $gap = $decoding->facts === null || $decoding->facts->betweenUs <= 0 ? self::USUAL_MS : max(1, (int) round($decoding->facts->betweenUs / 1000));
        // A header and a check of one byte each, the rest words.
        $channels = max(1, intdiv($bytes - 2, 2));

        return implode("\n", [
            '# From what was measured; mend what you know better.',
            'id: my-format',
            'name: My format',
            "line: {baud: $baud, parity: none, stop_bits: 1, inverted: ".($isInverted ? 'true' : 'false').'}',
            "period_ms: {usual: $gap}",
            "channels: {min: $channels, max: $channels}",
            '# What count is 1500 µs, and how many µs is one count?',
            'scale: {centre: 1500, us: 1, max: 4095}',
            'parts:',
            '  - {const: "'.($facts['header'] ?? '00').'"}',
            '  - {channels: words, order: little}',
            $facts['frame_bytes'] === null ? '  # No length was seen to repeat. Is there a check at the end?' : "  # Every $bytes bytes it repeats. Is there a check at the end?",
            '  - {check: sum8, from: 0}',
            '',
        ]);
    }
}
