<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Pulse;

/**
 * The values of a capture over time, earliest first.
 *
 * @implements \IteratorAggregate<int, ValueRow>
 */
final readonly class ValueRows implements \Countable, \IteratorAggregate
{
    /** @param  list<ValueRow>  $all */
    public function __construct(private array $all)
    {
    }

    /** @return \ArrayIterator<int, ValueRow> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->all);
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** Time of the first row, ms; 0 where there is none. */
    public function beginMs(): float
    {
        return $this->all[0]->ms ?? 0.0;
    }

    /** From the first row to the last one, ms. */
    public function lastMs(): float
    {
        return $this->all === [] ? 0.0 : $this->all[count($this->all) - 1]->ms - $this->beginMs();
    }

    /** @return list<int> Channels of the last row: by then every one has come. */
    public function channels(): array
    {
        return $this->all === [] ? [] : array_keys($this->all[count($this->all) - 1]->us);
    }

    /** @return list<array{t_ms: float, us: list<float>}> Rows in which every channel has come, with their times from the first row on. */
    public function whole(): array
    {
        $channels = $this->channels();
        $rows = [];
        foreach ($this->all as $row) {
            if (count($row->us) === count($channels)) {
                $rows[] = ['t_ms' => round($row->ms - $this->beginMs(), 3), 'us' => array_map(static fn (int $channel): float => $row->us[$channel], $channels)];
            }
        }

        return $rows;
    }

    /** @return list<float> µs; rows before it first came are left out. */
    public function of(int $channel): array
    {
        $values = [];
        foreach ($this->all as $row) {
            if (isset($row->us[$channel])) {
                $values[] = $row->us[$channel];
            }
        }

        return $values;
    }

    /** @return list<int> Channels that move enough to be found again in another capture. */
    public function moved(): array
    {
        return array_values(array_filter($this->channels(), function (int $channel): bool {
            $values = $this->of($channel);

            return $values !== [] && max($values) - min($values) > Pulse::MOVED_US;
        }));
    }
}
