<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Steps;

/** Times from frame to frame, in memory that does not grow with the capture. */
final class PeriodTally implements \JsonSerializable
{
    /** A frame is late when it comes after more than this many medians. */
    private const LATE = 1.5;

    /** Periods are sorted into bins this fine (relative) to find their median. */
    private const BINS_PER_E = 2000;

    private ?float $last = null;

    private int $count = 0;

    private float $sum = 0;

    private float $squares = 0;

    private float $least = INF;

    private float $most = 0;

    /** @var array<int, array{int, float}> How many, and their sum, by bin. */
    private array $bins = [];

    public function add(float $us): void
    {
        $period = $this->last === null ? 0.0 : $us - $this->last;
        $this->last = $us;
        if ($period <= 0) {
            return;
        }
        $this->count++;
        $this->sum += $period;
        $this->squares += $period * $period;
        $this->least = min($this->least, $period);
        $this->most = max($this->most, $period);
        $bin = (int) (log($period) * self::BINS_PER_E);
        [$count, $sum] = $this->bins[$bin] ?? [0, 0.0];
        $this->bins[$bin] = [$count + 1, $sum + $period];
    }

    public function lateFrames(): int
    {
        $above = $this->lateAboveUs();
        $late = 0;
        foreach ($this->bins as [$count, $sum]) {
            $late += $above !== null && $sum / $count > $above ? $count : 0;
        }

        return $late;
    }

    /** A frame that comes after more than this is late, µs; null: no two frames with times. */
    public function lateAboveUs(): ?float
    {
        $median = $this->medianUs();

        return $median === null ? null : self::LATE * $median;
    }

    public function medianUs(): ?float
    {
        ksort($this->bins);
        $left = intdiv($this->count, 2);
        foreach ($this->bins as [$count, $sum]) {
            $left -= $count;
            if ($left < 0) {
                return $sum / $count;
            }
        }

        return null;
    }

    /** @return \stdClass|null Milliseconds; null: no two frames with times. */
    public function jsonSerialize(): ?\stdClass
    {
        if ($this->count === 0) {
            return null;
        }
        $mean = $this->sum / $this->count;

        return (object) [
            'mean' => self::ms($mean),
            'min' => self::ms($this->least),
            'max' => self::ms($this->most),
            'sd' => self::ms(sqrt(max(0.0, $this->squares / $this->count - $mean * $mean))),
            'late_share' => Steps::clean($this->lateFrames() / $this->count),
        ];
    }

    private static function ms(float $us): float
    {
        return round($us / 1000, 6);
    }
}
