<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** CSV out, for people who open it in a spreadsheet. */
final class Csv
{
    /** @param  list<string|int|float>  $cells */
    public static function line(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    /** Quoted where needed; what a spreadsheet would take for a formula is led by an apostrophe. */
    private static function cell(string|int|float $value): string
    {
        $text = is_string($value) && preg_match('/^[=+\-@\t\r]/', $value) === 1 ? "'$value" : (string) $value;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
