<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** What bytes show of a frame nobody knows, as the answer tells it. */
final readonly class ByteFacts
{
    private const SHOWN = 64;

    /** Where the format is known its card says more than can be guessed. */
    public static function of(Recognised|ValueLog|Unrecognised $decoding): \stdClass
    {
        $begin = ['first_bytes' => bin2hex(substr($decoding->begin->bytes, 0, self::SHOWN))];
        if (! $decoding instanceof Unrecognised) {
            return (object) $begin;
        }
        $frame = $decoding->frame;

        return (object) [
            'frame_bytes' => $frame?->size,
            'header' => $frame === null || $frame->header === '' ? null : bin2hex($frame->header),
            'check' => $frame?->check === null ? null : self::words($frame->check->node->value),
            ...$begin,
        ];
    }

    private static function words(\stdClass $check): string
    {
        $part = get_object_vars($check);
        $hex = static fn (string $key): string => sprintf(is_int($part[$key] ?? null) && $part[$key] > 0xFF ? '0x%04X' : '0x%02X', is_int($part[$key] ?? null) ? $part[$key] : 0);
        $kind = is_string($part['check'] ?? null) ? $part['check'] : '';

        return $kind
            .(isset($part['poly']) ? ", polynomial {$hex('poly')}, begins at {$hex('init')}" : '')
            .(is_string($part['order'] ?? null) ? ", {$part['order']} end first" : '')
            .', over the bytes from '.(is_int($part['from'] ?? null) ? $part['from'] : 0).' on';
    }
}
