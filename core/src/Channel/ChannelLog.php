<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Middle;
use Linguator\Core\Quantity\Pulse;

/** Channel values over time: rows of pulse widths in microseconds at rising times in milliseconds. */
final readonly class ChannelLog
{
    /**
     * @param  non-empty-list<float>  $times
     * @param  non-empty-list<non-empty-list<float>>  $columns  By channel, from channel 1.
     */
    private function __construct(public array $times, public array $columns)
    {
    }

    /**
     * @param  list<Node>  $rows  Each with `t_ms` and `us`.
     *
     * @throws DocumentError as `fromRows`.
     */
    public static function fromNodes(array $rows): self
    {
        return self::fromRows(array_map(static fn (Node $row): float => $row->number('t_ms'), $rows), array_map(static fn (Node $row): array => $row->numbersOrNull('us') ?? [], $rows));
    }

    /**
     * @param  list<float>  $times
     * @param  list<list<float>>  $rows
     *
     * @throws DocumentError if the log is empty, a row has another number of values than the first, or time runs backwards.
     */
    public static function fromRows(array $times, array $rows): self
    {
        if ($times === [] || $rows === []) {
            throw DocumentError::at('log', 'The log is empty; expected rows of channel values over time.');
        }
        $width = count($rows[0]);
        if ($width === 0) {
            throw DocumentError::at('log.0.us', 'The first row has no values; expected one for each channel.');
        }
        foreach ($rows as $k => $row) {
            if (count($row) !== $width) {
                throw DocumentError::at("log.$k.us", sprintf('Found %d values; expected %d, as in the first row.', count($row), $width));
            }
            if ($k > 0 && $times[$k] < $times[$k - 1]) {
                throw DocumentError::at("log.$k.t_ms", sprintf('Time runs backwards: %s ms comes after %s ms.', $times[$k], $times[$k - 1]));
            }
        }
        /** @var non-empty-list<non-empty-list<float>> $columns */
        $columns = array_map(static fn (int $channel): array => array_column($rows, $channel), range(0, $width - 1));

        return new self($times, $columns);
    }

    /** The median of a channel over the whole log: where its stick rests. */
    public function rest(int $channel): float
    {
        return Middle::of($this->columns[$channel - 1]);
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

    /** @return list<Movement> Every stretch in which a channel was away from its rest, by time; not yet joined to sticks. */
    public function stretches(): array
    {
        $stretches = [];
        foreach (array_keys($this->columns) as $index) {
            array_push($stretches, ...$this->stretchesOf($index + 1));
        }
        usort($stretches, static fn (Movement $a, Movement $b): int => [$a->from, $a->to] <=> [$b->from, $b->to]);

        return $stretches;
    }

    /** @return list<Movement> */
    private function stretchesOf(int $channel): array
    {
        $rest = $this->rest($channel);
        $stretches = [];
        $start = null;
        $last = 0;
        foreach ($this->columns[$channel - 1] as $row => $value) {
            if (abs($value - $rest) > Pulse::MOVED_US) {
                $start ??= $row;
                $last = $row;
            } elseif ($start !== null) {
                $stretches[] = $this->stretch($channel, $start, $last, $rest);
                $start = null;
            }
        }
        if ($start !== null) {
            $stretches[] = $this->stretch($channel, $start, $last, $rest);
        }

        return $stretches;
    }

    private function stretch(int $channel, int $first, int $last, float $rest): Movement
    {
        return new Movement($this->times[$first], $this->times[$last], [$channel => $this->columns[$channel - 1][$first] > $rest]);
    }
}
