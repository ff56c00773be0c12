<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Checks over the bytes of a frame. */
final class Check
{
    /** The bytes of a part's check, as they stand on the wire. */
    public static function of(Part $part, string $bytes): string
    {
        return match ($part->node->text('check')) {
            'crc8' => chr(self::crc($bytes, 8, $part->node->int('poly'), $part->node->intOrNull('init') ?? 0)),
            'crc16' => pack($part->word(), self::crc($bytes, 16, $part->node->int('poly'), $part->node->intOrNull('init') ?? 0)),
            'complement16' => pack($part->word(), (0xFFFF - self::sum($bytes)) & 0xFFFF),
            default => chr(0xFF - self::carrySum($bytes)),
        };
    }

    /** Cyclic redundancy check, most significant bit first, not reflected. */
    private static function crc(string $bytes, int $width, int $poly, int $init): int
    {
        $top = 1 << ($width - 1);
        $mask = (1 << $width) - 1;
        $crc = $init;
        for ($k = 0, $n = strlen($bytes); $k < $n; $k++) {
            $crc ^= ord($bytes[$k]) << ($width - 8);
            for ($bit = 0; $bit < 8; $bit++) {
                $crc = ($crc & $top) !== 0 ? ($crc << 1 ^ $poly) & $mask : $crc << 1 & $mask;
            }
        }

        return $crc;
    }

    private static function sum(string $bytes): int
    {
        return (int) array_sum(array_map(ord(...), str_split($bytes)));
    }

    /** Each carry out of eight bits is folded back in. */
    private static function carrySum(string $bytes): int
    {
        $sum = 0;
        foreach (str_split($bytes) as $byte) {
            $sum += ord($byte);
            $sum = ($sum & 0xFF) + ($sum >> 8);
        }

        return $sum;
    }
}
