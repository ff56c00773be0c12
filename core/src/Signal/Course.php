<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Pulse;

/** One channel of a capture at even steps of time, the last value held: what two captures are compared by. */
final readonly class Course
{
    /** So much of a capture is looked at. */
    private const LONGEST_MS = 20_000.0;

    private const FEWEST = 10;

    private const NOTHING = 1e-9;

    /** @param  list<float>  $us  From the begin of the clock, so that two captures lie on the same one. */
    private function __construct(public int $channel, private array $us)
    {
    }

    /** @param  float  $step  ms. */
    public static function of(ValueRows $rows, int $channel, float $step): self
    {
        $grid = [];
        $value = null;
        $at = 0.0;
        foreach ($rows as $row) {
            while ($value !== null && $at < $row->ms && $at < self::LONGEST_MS) {
                $grid[] = $value;
                $at += $step;
            }
            $value = $row->us[$channel] ?? $value;
            $at = $grid === [] ? ceil($row->ms / $step) * $step : $at;
            if ($grid === [] && $value !== null) {
                $grid = array_fill(0, max(0, min((int) (self::LONGEST_MS / $step), (int) ceil($row->ms / $step))), $value);
            }
        }

        return new self($channel, $grid);
    }

    /**
     * How well the other one, shifted, is a straight function of this one: least squares, other = scale × this + offset.
     *
     * @param  int  $shift  Steps by which the other one comes later.
     */
    public function fit(self $other, int $shift): Fit
    {
        [$n, $sumA, $sumB, $squareA, $squareB, $product] = [0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $shortest = min(count($this->us), count($other->us));
        for ($k = max(0, -$shift), $end = min(count($this->us), count($other->us) - $shift); $k < $end; $k++) {
            $x = $this->us[$k] - Pulse::CENTRE_US;
            $y = $other->us[$k + $shift] - Pulse::CENTRE_US;
            $n++;
            $sumA += $x;
            $sumB += $y;
            $squareA += $x * $x;
            $squareB += $y * $y;
            $product += $x * $y;
        }
        // Too little overlap fits anything.
        if ($n < self::FEWEST || $n < $shortest / 2) {
            return Fit::none();
        }
        $varianceA = $squareA - $sumA * $sumA / $n;
        $varianceB = $squareB - $sumB * $sumB / $n;
        if ($varianceA <= self::NOTHING || $varianceB <= self::NOTHING) {
            return Fit::none();
        }
        $both = $product - $sumA * $sumB / $n;
        $scale = $both / $varianceA;

        return new Fit($both / sqrt($varianceA * $varianceB), $scale, $sumB / $n - $scale * $sumA / $n);
    }
}
