<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Line\Pulses;

/** A log of channel values: a time and one pulse width in µs per channel in each row. */
final readonly class CsvChannels
{
    public function __construct(private Source $source, private CsvLayout $layout, private Damage $damage)
    {
    }

    /** @return \Generator<int, Pulses> */
    public function rows(): \Generator
    {
        $last = -INF;
        foreach (Lines::blocks($this->source->chunks()) as $line => $block) {
            foreach (explode("\n", $block) as $k => $text) {
                if ($line + $k <= $this->layout->headingLine || trim($text) === '') {
                    continue;
                }
                $row = $this->row($text);
                if ($row === null || $row->us < $last) {
                    $this->damage->onLine($line + $k, $text, $row === null ? 'a time and values in µs' : 'a time not before the one above it');

                    continue;
                }
                $last = $row->us;
                yield $row;
            }
        }
    }

    private function row(string $text): ?Pulses
    {
        $cells = CsvLayout::cells($text, $this->layout->separator);
        $time = array_shift($cells);
        if (! is_numeric($time) || ! is_finite((float) $time)) {
            return null;
        }
        $values = [];
        foreach (array_slice($cells, 0, count($this->layout->names)) as $k => $cell) {
            if ($cell !== '' && (! is_numeric($cell) || abs((float) $cell) > 1e6)) {
                return null;
            }
            if ($cell !== '') {
                $values[$k + 1] = (int) round((float) $cell * 1000);
            }
        }

        $us = (float) $time * $this->layout->usPerUnit;

        return $values === [] || ! CaptureTime::isPossible($us) ? null : new Pulses($values, $us);
    }
}
