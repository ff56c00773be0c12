<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

/** What a capture file holds, by its first bytes. */
enum CaptureKind: string
{
    case Hex = 'hex';
    case Binary = 'bin';
    case Csv = 'csv';
    case Vcd = 'vcd';
    case Wav = 'wav';

    private const LOOKED_AT = 65_536;

    public static function of(Source $source): self
    {
        $head = $source->head(self::LOOKED_AT);
        if (str_starts_with($head, 'RIFF') && substr($head, 8, 4) === 'WAVE') {
            return self::Wav;
        }
        $text = str_starts_with($head, "\xEF\xBB\xBF") ? substr($head, 3) : $head;
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', $text) === 1 || ! mb_check_encoding(substr($text, 0, -4), 'UTF-8')) {
            return self::Binary;
        }
        $start = ltrim($text);

        return match (true) {
            preg_match('/^\$(?:date|version|timescale|comment|scope|var|enddefinitions)\b/', $start) === 1 => self::Vcd,
            self::isHeading(strtok($start, "\r\n") ?: '') => self::Csv,
            self::isHex($start) => self::Hex,
            preg_match('/^[^\n]*[,;\t]/', $start) === 1 => self::Csv,
            default => self::Binary,
        };
    }

    /** A line with separators and a word that is no hex number and no time. */
    private static function isHeading(string $line): bool
    {
        return preg_match('/[,;\t]/', $line) === 1 && preg_match('/[g-wyzG-WYZ]/', $line) === 1 && preg_match('/^\s*[0-9.,]+\s*(?:s|ms|us|µs|μs|ns)\s*:/', $line) !== 1;
    }

    /** Most of the first lines are pairs of hex digits, with or without a time before them. */
    private static function isHex(string $text): bool
    {
        $lines = array_slice(array_values(array_filter(preg_split('/[\r\n]+/', substr($text, 0, 8192)) ?: [], static fn (string $line): bool => trim($line) !== '')), 0, 20);
        $hex = array_filter($lines, static fn (string $line): bool => preg_match('/^\s*(?:[0-9.,]+\s*(?:s|ms|us|µs|μs|ns)\s*:)?(?:[\s,;]*+(?:0[xX])?(?:[0-9a-fA-F]{2})++)++[0-9a-fA-F]?[\s,;]*$/', $line) === 1);

        return $lines !== [] && count($hex) * 2 > count($lines);
    }
}
