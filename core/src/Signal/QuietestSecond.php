<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** Standard deviation of a channel over the second in which it was quietest; over the whole capture where that is shorter. */
final class QuietestSecond
{
    private const WINDOW_US = 1_000_000.0;

    /** Fewer values say nothing about noise. */
    private const FEWEST = 3;

    /** Values that have left the window are cleared away in lots. */
    private const LOT = 1024;

    /** @var list<float> */
    private array $times = [];

    /** @var list<int> Deviation from the first value: sums stay exact. */
    private array $values = [];

    private int $head = 0;

    private int $sum = 0;

    private int $squares = 0;

    private ?float $first = null;

    private int $zero = 0;

    private ?float $least = null;

    public function add(float $us, int $count): void
    {
        $this->addAll([$us], [$count]);
    }

    /**
     * Many at once: most captures have more values than anything else.
     *
     * @param  array<int, float>  $times  µs.
     * @param  array<int, int>  $counts  Each with the time of the same key.
     */
    public function addAll(array $times, array $counts): void
    {
        [$all, $values, $head, $sum, $squares, $first, $zero, $least] = [$this->times, $this->values, $this->head, $this->sum, $this->squares, $this->first, $this->zero, $this->least];
        // Held in one place only, lists grow where they lie.
        [$this->times, $this->values] = [[], []];
        $n = count($all);
        foreach ($counts as $k => $count) {
            $us = $times[$k];
            if ($first === null) {
                [$first, $zero] = [$us, $count];
            }
            $value = $count - $zero;
            $all[] = $us;
            $values[] = $value;
            $n++;
            $sum += $value;
            $squares += $value * $value;
            $edge = $us - self::WINDOW_US;
            // The value itself stays, however far its time has jumped.
            while ($all[$head] <= $edge && $head < $n - 1) {
                $old = $values[$head++];
                $sum -= $old;
                $squares -= $old * $old;
            }
            if ($us - $first >= self::WINDOW_US && $n - $head >= self::FEWEST) {
                $variance = $squares / ($n - $head) - ($sum / ($n - $head)) ** 2;
                if ($least === null || $variance < $least) {
                    $least = $variance;
                }
            }
        }
        if ($head >= self::LOT) {
            [$all, $values, $head] = [array_slice($all, $head), array_slice($values, $head), 0];
        }
        [$this->times, $this->values, $this->head, $this->sum, $this->squares, $this->first, $this->zero, $this->least] = [$all, $values, $head, $sum, $squares, $first, $zero, $least];
    }

    /** Counts; null: too few values with a time. */
    public function sigma(): ?float
    {
        $variance = $this->least ?? $this->variance();

        return $variance === null ? null : sqrt(max(0.0, $variance));
    }

    private function variance(): ?float
    {
        $n = count($this->values) - $this->head;

        return $n < self::FEWEST ? null : max(0.0, $this->squares / $n - ($this->sum / $n) ** 2);
    }
}
