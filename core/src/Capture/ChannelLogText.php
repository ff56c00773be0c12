<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;

/** Reads a channel log as people paste it: CSV of time and pulse widths, or the JSON of the verb `movement`. */
final class ChannelLogText
{
    private const MAX_BYTES = 8_388_608;

    private const MAX_ROWS = 200_000;

    private const US_PER_MS = 1000.0;

    /**
     * The log itself, its rows held against what the verb `movement` takes.
     *
     * @throws DocumentError below `log`.
     */
    public static function log(string $text): ChannelLog
    {
        $question = (object) ['log' => self::rows($text), 'sequence' => ['A']];

        return ChannelLog::fromNodes((new Node((new Schemas)->check($question, 'verbs/movement.in.json')))->nodes('log'));
    }

    /**
     * Rows of the verb's `log`.
     *
     * CSV: one row per moment, first the time, then one value in µs per channel; commas, semicolons or tabs; with
     * semicolons or tabs a decimal comma is understood. A heading may name the unit of time; without one it is ms.
     *
     * @return list<\stdClass>
     *
     * @throws DocumentError with the line of the first row that cannot be read.
     */
    public static function rows(string $text): array
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new DocumentError('too_large', sprintf('Found %.1f MB; expected a channel log of at most %d MB.', strlen($text) / 1_048_576, self::MAX_BYTES / 1_048_576));
        }
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;

        return str_starts_with(ltrim($text), '[') || str_starts_with(ltrim($text), '{') ? self::fromJson($text) : self::fromCsv($text);
    }

    /** @return list<\stdClass> */
    private static function fromJson(string $text): array
    {
        $value = Json::decode($text);
        $rows = $value instanceof \stdClass ? ($value->log ?? null) : $value;
        if (! is_array($rows)) {
            throw DocumentError::at('log', 'Found no list of rows; expected [{"t_ms": 0, "us": [1500, …]}, …].');
        }

        return array_map(
            static fn (mixed $row, int $k): \stdClass => $row instanceof \stdClass ? $row : throw DocumentError::at("log.$k", 'Found '.Excerpt::of($row).'; expected a row with t_ms and us.'),
            array_values($rows),
            array_keys(array_values($rows)),
        );
    }

    /** @return list<\stdClass> */
    private static function fromCsv(string $text): array
    {
        $rows = [];
        [$separator, $msPerUnit] = [null, 1.0];
        foreach (preg_split('/\r\n|\r|\n/', $text) ?: [] as $number => $line) {
            if (trim($line) === '') {
                continue;
            }
            $separator ??= self::separatorOf($line);
            $cells = CsvLayout::cells($line, $separator);
            if ($rows === [] && preg_match('/[A-Za-z]/', $line) === 1) {
                $msPerUnit = (CsvLayout::usPerUnit($cells[0]) ?? self::US_PER_MS) / self::US_PER_MS;

                continue;
            }
            $rows[] = self::row($cells, $msPerUnit, $number + 1);
            if (count($rows) > self::MAX_ROWS) {
                throw new DocumentError('too_many', 'The log has more than '.self::MAX_ROWS.' rows; cut it to the sticks\' movements.');
            }
        }

        return $rows;
    }

    /** @return non-empty-string */
    private static function separatorOf(string $line): string
    {
        foreach (["\t", ';'] as $separator) {
            if (str_contains($line, $separator)) {
                return $separator;
            }
        }

        return ',';
    }

    /** @param  list<string>  $cells */
    private static function row(array $cells, float $msPerUnit, int $line): \stdClass
    {
        $numbers = [];
        foreach ($cells as $k => $cell) {
            if ($cell === '' && $k === count($cells) - 1 && $k > 1) {
                continue;
            }
            if (! is_numeric($cell)) {
                throw (new DocumentError('not_a_number', "Line $line, value ".($k + 1).': found '.Excerpt::of($cell).'; expected a number.', 'log'))->onLine($line);
            }
            $numbers[] = (float) $cell;
        }
        if (count($numbers) < 2) {
            throw (new DocumentError('too_few', "Line $line: found ".count($numbers).' value(s); expected a time and at least one channel.', 'log'))->onLine($line);
        }

        return (object) ['t_ms' => $numbers[0] * $msPerUnit, 'us' => array_slice($numbers, 1)];
    }
}
