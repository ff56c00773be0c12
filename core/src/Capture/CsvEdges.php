<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Line\Edges;

/** A table of times and levels: one row per change or per sample, one column per wire. A row that cannot be read is damage, not the end. */
final class CsvEdges implements WireCapture
{
    /** Rows running whose times stand before the last one: the table starts anew. */
    private const RESTART_ROWS = 4;

    /** Put between two parts of a table that starts anew, µs. */
    private const RESTART_US = 100_000.0;

    private string $level = '';

    private float $us = -INF;

    private float $usBefore = -INF;

    private float $shift = 0;

    private int $backwards = 0;

    public function __construct(private readonly Source $source, private readonly CsvLayout $layout, private readonly Damage $damage)
    {
    }

    public function wires(): array
    {
        return $this->layout->names;
    }

    public function grainUs(): null
    {
        return null;
    }

    public function busiest(): int
    {
        $counts = array_fill(0, count($this->layout->names), 0);
        $last = [];
        foreach (Lines::blocks($this->source->chunks()) as $block) {
            foreach (explode("\n", $block) as $text) {
                $cells = explode($this->layout->separator, $text);
                foreach ($counts as $wire => $count) {
                    $cell = $cells[$wire + 1] ?? '';
                    if ($cell !== ($last[$wire] ?? '')) {
                        $counts[$wire]++;
                        $last[$wire] = $cell;
                    }
                }
            }
        }

        arsort($counts);

        return (int) array_key_first($counts);
    }

    public function edges(int $wire): \Generator
    {
        [$this->level, $this->us, $this->usBefore, $this->shift, $this->backwards] = ['', -INF, -INF, 0, 0];
        foreach (Lines::blocks($this->source->chunks()) as $line => $block) {
            $edges = $this->alternating($block, $line) ?? $this->block($this->rows($block, $line, $wire), $line);
            if ($edges !== null) {
                yield $edges;
            }
        }
    }

    /**
     * The usual block: every row a change of the one wire, its time not before the one above it. Null: it is not that, and must be read row by row.
     */
    private function alternating(string $block, int $line): ?Edges
    {
        [$separator, $perUnit, $shift] = [$this->layout->separator, $this->layout->usPerUnit, $this->shift];
        $first = $block[(int) strpos($block, "\n") - 1] ?? '';
        if (count($this->layout->names) !== 1 || $line <= $this->layout->headingLine || $this->backwards !== 0 || $first === $this->level || ($first !== '0' && $first !== '1')) {
            return null;
        }
        $second = $first === '0' ? '1' : '0';
        $number = '-?[0-9]++(?:\.[0-9]++)?+';
        if (preg_match("/^(?:$number$separator$first\n$number$separator$second\n)*+(?:$number$separator$first\n)?+$/D", $block) !== 1) {
            return null;
        }
        $times = array_map(floatval(...), explode(',', substr(str_replace(["$separator$first\n", "$separator$second\n"], ',', $block), 0, -1)));
        $before = $us = $this->us;
        foreach ($times as $k => $time) {
            $now = $time * $perUnit + $shift;
            if ($now < $us) {
                return null;
            }
            $times[$k] = $now;
            $before = $us;
            $us = $now;
        }
        if (! CaptureTime::isPossible($us)) {
            return null;
        }
        $isBegin = $this->level === '';
        [$this->us, $this->usBefore, $this->level] = [$us, $before, count($times) % 2 === 1 ? $first : $second];
        if ($isBegin) {
            // The first row tells the level, and is no change.
            array_shift($times);
        }

        return $times === [] ? null : new Edges((int) ($isBegin ? $second : $first), $times);
    }

    /** @param  list<string>  $rows  Time and level, time and level … */
    private function block(array $rows, int $line): ?Edges
    {
        $before = [$this->level, $this->us, $this->usBefore, $this->shift, $this->backwards];
        $told = clone $this->damage;
        $edges = $this->read($rows, $line);
        // Looked at once a block: times run forward, so one that is none is at its end or has pushed the end there.
        if ($this->us === -INF || CaptureTime::isPossible($this->us)) {
            return $edges;
        }
        [$this->level, $this->us, $this->usBefore, $this->shift, $this->backwards] = $before;
        $this->damage->goBackTo($told);

        return $this->read($this->possible($rows, $line), $line);
    }

    /** @param  list<string>  $rows */
    private function read(array $rows, int $line): ?Edges
    {
        $perUnit = $this->layout->usPerUnit;
        [$level, $us, $before, $shift] = [$this->level, $this->us, $this->usBefore, $this->shift];
        $first = '';
        $times = [];
        for ($k = 0, $n = count($rows) - 1; $k < $n; $k += 2) {
            $now = (float) $rows[$k] * $perUnit + $shift;
            if ($now < $us) {
                if ($now >= $before && $this->backwards === 0) {
                    // The row above was the wrong one.
                    if ($times !== [] && $times[count($times) - 1] === $us) {
                        array_pop($times);
                        $level = $level === '1' ? '0' : '1';
                    }
                    $us = $before;
                }
                if ($now < $us && ++$this->backwards < self::RESTART_ROWS) {
                    $this->damage->onLine($line + ($k >> 1), $rows[$k], 'a time not before the one above it');

                    continue;
                }
                if ($now < $us) {
                    $shift += $us - $now + self::RESTART_US;
                    $now = $us + self::RESTART_US;
                } else {
                    $this->damage->onLine($line + ($k >> 1) - 1, 'a time far ahead', 'a time not after the one below it');
                }
            }
            $this->backwards = 0;
            $before = $us;
            $us = $now;
            if ($rows[$k + 1] !== $level) {
                if ($level !== '') {
                    $times[] = $now;
                    $first = $first === '' ? $rows[$k + 1] : $first;
                }
                $level = $rows[$k + 1];
            }
        }
        [$this->level, $this->us, $this->usBefore, $this->shift] = [$level, $us, $before, $shift];

        // Taking the first change back may have turned the alternation.
        return $times === [] ? null : new Edges((int) $level ^ (count($times) + 1 & 1), $times);
    }

    /**
     * Without times that are none.
     *
     * @param  list<string>  $rows
     * @return list<string>
     */
    private function possible(array $rows, int $line): array
    {
        $sound = [];
        for ($k = 0, $n = count($rows) - 1; $k < $n; $k += 2) {
            if (CaptureTime::isPossible((float) $rows[$k] * $this->layout->usPerUnit)) {
                array_push($sound, $rows[$k], $rows[$k + 1]);
            } else {
                $this->damage->onLine($line + ($k >> 1), $rows[$k], CaptureTime::EXPECTED);
            }
        }

        return $sound;
    }

    /** @return list<string> Time and level, time and level … */
    private function rows(string $block, int $line, int $wire): array
    {
        $separator = $this->layout->separator;
        if (count($this->layout->names) === 1 && $line > $this->layout->headingLine) {
            $number = $separator === ',' ? '-?[0-9]++(?:\.[0-9]++)?+' : '-?[0-9]++(?:[.,][0-9]++)?+';
            if (preg_match("/^(?:$number(?:[eE][-+]?[0-9]++)?+{$separator}[01]\n)++$/D", $block) === 1) {
                $flat = $separator === ',' ? strtr($block, "\n", ',') : strtr(strtr($block, ',', '.'), "\n", $separator);

                return explode($separator, $flat);
            }
        }
        $rows = [];
        foreach (explode("\n", $block) as $k => $text) {
            if ($line + $k <= $this->layout->headingLine || trim($text) === '') {
                continue;
            }
            $cells = CsvLayout::cells($text, $separator);
            $level = $cells[$wire + 1] ?? '';
            if (isset($cells[1]) && is_numeric($cells[0]) && is_finite((float) $cells[0]) && is_numeric($level) && ((float) $level === 0.0 || (float) $level === 1.0)) {
                array_push($rows, $cells[0], (float) $level === 1.0 ? '1' : '0');
            } else {
                $this->damage->onLine($line + $k, $text, 'a time and a level of 0 or 1 per wire, separated by "'.($separator === "\t" ? 'tab' : $separator).'"');
            }
        }

        return $rows;
    }
}
