<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Middle;

/** Channel values over time, row by row, as they came. */
final readonly class DanceLog
{
    /**
     * @param  non-empty-list<float>  $times  ms
     * @param  non-empty-list<list<float>>  $channels  µs of each row, channel by channel.
     */
    private function __construct(public array $times, public array $channels)
    {
    }

    /** @throws DocumentError if it is empty, its rows differ in length, or time runs backwards. */
    public static function read(Node $told): self
    {
        [$times, $rows] = [[], []];
        foreach ($told->items('log') as $k => $item) {
            $row = new Node($item instanceof \stdClass ? $item : new \stdClass);
            $us = $row->numbersOrNull('us') ?? [];
            if ($k > 0 && count($us) !== count($rows[0])) {
                throw DocumentError::at("log.$k.us", sprintf('Found %d values; expected %d, as in the first row.', count($us), count($rows[0])), 'wrong_count');
            }
            $ms = $row->number('t_ms');
            if ($k > 0 && $ms < $times[$k - 1]) {
                throw DocumentError::at("log.$k.t_ms", sprintf('Found %g ms after %g ms; expected rows in the order of their time.', $ms, $times[$k - 1]), 'not_in_order');
            }
            $times[] = $ms;
            $rows[] = $us;
        }
        if ($times === [] || $rows[0] === []) {
            throw DocumentError::at('log', 'Found no values; expected rows with at least one channel.', 'empty');
        }
        $channels = [];
        foreach (array_keys($rows[0]) as $channel) {
            $channels[] = array_column($rows, $channel);
        }

        return new self($times, $channels);
    }

    public function count(): int
    {
        return count($this->times);
    }

    /** How far apart rows usually lie, ms. */
    public function periodMs(): float
    {
        $gaps = [];
        foreach ($this->times as $k => $ms) {
            if ($k > 0) {
                $gaps[] = $ms - $this->times[$k - 1];
            }
        }

        return $gaps === [] ? 0.0 : Middle::of($gaps);
    }
}
