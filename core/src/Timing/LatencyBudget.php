<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** How long a stick movement takes through all stages: best, mean, 95th percentile and worst, in ms. */
final readonly class LatencyBudget
{
    private const CELLS = 2000;

    /** The exact distribution has a term for every choice of waits; above this many the grid is quicker. */
    private const FEW = 6;

    /** Its terms cancel each other: where they are so much larger than what is left, their digits do not suffice. */
    private const LARGEST_TERM = 1e9;

    private const HALVINGS = 48;

    /** @param  list<LatencyStage>  $stages */
    public function __construct(private array $stages)
    {
    }

    public function best(): float
    {
        return array_sum(array_map(static fn (LatencyStage $stage): float => $stage->transitMs, $this->stages));
    }

    public function mean(): float
    {
        return array_sum(array_map(static fn (LatencyStage $stage): float => $stage->mean(), $this->stages));
    }

    public function worst(): float
    {
        return $this->best() + array_sum($this->waits());
    }

    public function p95(): float
    {
        return $this->best() + self::quantileOfSum($this->waits(), 0.95);
    }

    /** Rounded to a nanosecond. */
    public function delay(): Delay
    {
        return new Delay(round($this->best(), 6), round($this->mean(), 6), round($this->p95(), 6), round($this->worst(), 6));
    }

    /**
     * What each stage adds to the mean, and its share of it.
     *
     * @return list<DelayShare>
     */
    public function shares(): array
    {
        $mean = $this->mean();

        return array_map(static fn (LatencyStage $stage): DelayShare => new DelayShare($stage->name, round($stage->mean(), 6), $mean > 0 ? $stage->mean() / $mean : 0.0), $this->stages);
    }

    /** @return list<float> */
    private function waits(): array
    {
        return array_values(array_filter(
            array_map(static fn (LatencyStage $stage): float => $stage->longestWait(), $this->stages),
            static fn (float $wait): bool => $wait > 0,
        ));
    }

    /**
     * Quantile of a sum of independent uniforms on [0, w].
     *
     * The distribution function is built up on a grid: adding a uniform of width w turns F into
     * (G(x) − G(x − w)) / w with G the integral of F (the density of a sum is the convolution of the densities).
     *
     * @param  list<float>  $widths
     */
    private static function quantileOfSum(array $widths, float $share): float
    {
        if (count($widths) < 2) {
            return $share * array_sum($widths);
        }
        rsort($widths);
        $total = array_sum($widths);
        if (count($widths) <= self::FEW && $total ** count($widths) / array_product($widths) < self::LARGEST_TERM) {
            return self::exactQuantile($widths, $total, $share);
        }
        $step = $total / self::CELLS;
        $cumulative = array_map(static fn (int $k): float => min(1.0, $k * $step / $widths[0]), range(0, self::CELLS));
        foreach (array_slice($widths, 1) as $width) {
            $cumulative = self::addUniform($cumulative, $width, $step);
        }
        foreach ($cumulative as $k => $below) {
            if ($below >= $share) {
                $before = $cumulative[max(0, $k - 1)];

                return $step * ($below > $before ? $k - ($below - $share) / ($below - $before) : $k);
            }
        }

        return $total;
    }

    /**
     * The same where few waits are added: F(x) = Σ over all choices S of waits (−1)^|S| · max(0, x − ΣS)^n / (n! · Πw),
     * the volume of a corner of a box (inclusion and exclusion; Hall 1927, Irwin 1927, for waits of different widths). Halved until it is found.
     *
     * @param  non-empty-list<float>  $widths
     */
    private static function exactQuantile(array $widths, float $total, float $share): float
    {
        $choices = [[0.0, 1]];
        $scale = 1.0;
        foreach ($widths as $k => $width) {
            foreach ($choices as [$sum, $sign]) {
                $choices[] = [$sum + $width, -$sign];
            }
            $scale *= $width * ($k + 1);
        }
        [$low, $high, $n] = [0.0, $total, count($widths)];
        for ($k = 0; $k < self::HALVINGS; $k++) {
            $middle = ($low + $high) / 2;
            $below = 0.0;
            foreach ($choices as [$sum, $sign]) {
                $below += $middle > $sum ? $sign * ($middle - $sum) ** $n : 0.0;
            }
            [$low, $high] = $below / $scale < $share ? [$middle, $high] : [$low, $middle];
        }

        return $high;
    }

    /**
     * @param  list<float>  $cumulative
     * @return list<float>
     */
    private static function addUniform(array $cumulative, float $width, float $step): array
    {
        $integral = [0.0];
        for ($k = 1; $k <= self::CELLS; $k++) {
            $integral[] = $integral[$k - 1] + ($cumulative[$k - 1] + $cumulative[$k]) / 2 * $step;
        }
        $sum = [];
        for ($k = 0; $k <= self::CELLS; $k++) {
            $sum[] = ($integral[$k] - self::integralAt($integral, $cumulative, $k - $width / $step, $step)) / $width;
        }

        return $sum;
    }

    /**
     * @param  list<float>  $integral
     * @param  list<float>  $cumulative
     */
    private static function integralAt(array $integral, array $cumulative, float $cell, float $step): float
    {
        if ($cell <= 0) {
            return 0.0;
        }
        $k = (int) $cell;
        $part = $cell - $k;
        $slope = ($cumulative[$k + 1] ?? 1.0) - $cumulative[$k];

        return $integral[$k] + $step * $part * ($cumulative[$k] + $slope * $part / 2);
    }
}
