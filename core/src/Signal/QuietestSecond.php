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
        if ($this->first === null) {
            [$this->first, $this->zero] = [$us, $count];
        }
        $value = $count - $this->zero;
        $this->times[] = $us;
        $this->values[] = $value;
        $this->sum += $value;
        $this->squares += $value * $value;
        // The value itself stays, however far its time has jumped.
        while ($this->head < count($this->times) - 1 && $this->times[$this->head] <= $us - self::WINDOW_US) {
            $old = $this->values[$this->head++];
            $this->sum -= $old;
            $this->squares -= $old * $old;
        }
        if ($us - $this->first >= self::WINDOW_US) {
            $variance = $this->variance();
            if ($variance !== null && ($this->least === null || $variance < $this->least)) {
                $this->least = $variance;
            }
        }
        if ($this->head >= self::LOT) {
            $this->times = array_slice($this->times, $this->head);
            $this->values = array_slice($this->values, $this->head);
            $this->head = 0;
        }
    }

    /** Counts; null: too few values with a time. */
    public function sigma(): ?float
    {
        $variance = $this->least ?? $this->variance();

        return $variance === null ? null : sqrt($variance);
    }

    private function variance(): ?float
    {
        $n = count($this->values) - $this->head;

        return $n < self::FEWEST ? null : max(0.0, $this->squares / $n - ($this->sum / $n) ** 2);
    }
}
