<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** What a CSV's heading and first rows say: separator, unit of time, and whether it holds levels of wires or values of channels. */
final readonly class CsvLayout
{
    private const SAMPLE_ROWS = 200;

    /** µs of one unit. */
    private const UNITS = [
        'ns' => 1e-3, 'nanoseconds' => 1e-3, 'us' => 1.0, 'µs' => 1.0, 'μs' => 1.0, 'microseconds' => 1.0,
        'ms' => 1e3, 'milliseconds' => 1e3, 's' => 1e6, 'sec' => 1e6, 'seconds' => 1e6,
    ];

    /**
     * @param  non-empty-string  $separator
     * @param  list<string>  $names  Of the columns behind the time.
     * @param  int  $headingLine  From 1.
     */
    private function __construct(
        public string $separator,
        public float $usPerUnit,
        public bool $isUnitTold,
        public array $names,
        public bool $isChannels,
        public int $headingLine,
    ) {
    }

    /**
     * @param  string  $head  The first lines.
     *
     * @throws DocumentError if no heading or no readable row is among them.
     */
    public static function of(string $head): self
    {
        $head = str_starts_with($head, "\xEF\xBB\xBF") ? substr($head, 3) : $head;
        $lines = explode("\n", strtr(str_replace("\r\n", "\n", $head), "\r", "\n"));
        if (count($lines) > self::SAMPLE_ROWS) {
            $lines = array_slice($lines, 0, self::SAMPLE_ROWS);
        } elseif (count($lines) > 2) {
            // The last line may be cut.
            array_pop($lines);
        }
        $heading = self::headingOf($lines);
        $rows = array_slice($lines, $heading + 1);
        $separator = self::separatorOf($lines[$heading], $rows);
        $names = self::cells($lines[$heading], $separator);
        $unit = self::usPerUnit($names[0]);

        return new self($separator, $unit ?? self::UNITS['s'], $unit !== null, self::columns(array_slice($names, 1), $rows, $separator), self::holdsValues($rows, $separator), $heading + 1);
    }

    /** @return list<string> Trimmed, without quotes; a decimal comma is a point where commas do not part cells. */
    public static function cells(string $line, string $separator): array
    {
        assert($separator !== '');
        $cells = array_map(static fn (string $cell): string => trim($cell, " \t\""), explode($separator, $line));

        return $separator === ',' ? $cells : array_map(static fn (string $cell): string => preg_match('/^-?[0-9]+,[0-9]+/', $cell) === 1 ? strtr($cell, ',', '.') : $cell, $cells);
    }

    /** @param  non-empty-list<string>  $lines */
    private static function headingOf(array $lines): int
    {
        foreach ($lines as $k => $line) {
            if (trim($line) === '' || str_starts_with(ltrim($line), '#')) {
                continue;
            }
            if (preg_match('/^[\s"]*-?[0-9.,;\s"eE+-]+$/', $line) === 1) {
                throw (new DocumentError('no_heading', 'Line '.($k + 1).': found '.Excerpt::of($line).'; expected a heading that names the unit of time, such as time_us,level.'))->onLine($k + 1);
            }

            return $k;
        }
        throw new DocumentError('empty', 'Found no line with anything on it; expected a heading such as time_us,level and rows below it.');
    }

    /**
     * The separator by which most rows can be read.
     *
     * @param  list<string>  $rows
     * @return non-empty-string
     */
    private static function separatorOf(string $heading, array $rows): string
    {
        $best = [0, ','];
        foreach ([';', "\t", ','] as $separator) {
            $readable = count(array_filter($rows, static fn (string $row): bool => self::isReadable(self::cells($row, $separator))));
            // A decimal comma makes a row look readable at its commas too.
            $isWhole = str_contains($heading, $separator);
            if ($readable > 0 && $isWhole && $readable > $best[0]) {
                $best = [$readable, $separator];
            }
        }
        if ($best[0] === 0) {
            throw new DocumentError('no_rows', 'Found no row below the heading '.Excerpt::of($heading).' that can be read; expected a time and a level or values, such as 12.5,1.');
        }

        return $best[1];
    }

    /**
     * A name for each column that rows have, whatever the heading has left out.
     *
     * @param  list<string>  $names
     * @param  list<string>  $rows
     * @param  non-empty-string  $separator
     * @return list<string>
     */
    private static function columns(array $names, array $rows, string $separator): array
    {
        $readable = array_values(array_filter(array_map(static fn (string $row): array => self::cells($row, $separator), $rows), self::isReadable(...)));
        $count = max(1, count(array_filter($readable[0] ?? [], static fn (string $cell): bool => $cell !== '')) - 1);

        return array_map(static fn (int $k): string => ($names[$k] ?? '') === '' ? 'column '.($k + 2) : $names[$k], range(0, $count - 1));
    }

    /** @param  list<string>  $cells */
    private static function isReadable(array $cells): bool
    {
        return count($cells) >= 2 && is_numeric($cells[0]) && is_numeric($cells[1]);
    }

    /** µs of one unit of a column, by its name; null: the name tells no unit. */
    public static function usPerUnit(string $name): ?float
    {
        $words = preg_split('/[\s_()\[\]]+/u', mb_strtolower($name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach (array_reverse($words) as $word) {
            if (isset(self::UNITS[$word])) {
                return self::UNITS[$word];
            }
        }

        return null;
    }

    /**
     * Levels are 0 and 1; anything else is a value.
     *
     * @param  list<string>  $rows
     * @param  non-empty-string  $separator
     */
    private static function holdsValues(array $rows, string $separator): bool
    {
        $values = 0;
        $levels = 0;
        foreach ($rows as $row) {
            $cells = self::cells($row, $separator);
            if (self::isReadable($cells)) {
                in_array((float) $cells[1], [0.0, 1.0], true) ? $levels++ : $values++;
            }
        }

        return $values > $levels;
    }
}
