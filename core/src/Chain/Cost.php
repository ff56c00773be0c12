<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/**
 * What a path or a part of one costs, most important first: findings to mend, boxes, settings to change, mean latency (ms).
 * Parts add up, so the least cost of a whole is never below the sum of the least costs of its parts.
 */
final readonly class Cost
{
    /** Latencies closer than this are the same (ms). */
    private const SAME_MS = 1e-6;

    public function __construct(public int $fixes, public int $boxes, public int $settings, public float $ms)
    {
    }

    public static function zero(): self
    {
        return new self(0, 0, 0, 0.0);
    }

    /**
     * Of the cheapest of these; zero where there is none.
     *
     * @param  list<Joint>  $joints
     */
    public static function leastOf(array $joints): self
    {
        $least = null;
        foreach ($joints as $joint) {
            $cost = new self($joint->fixes, 0, count($joint->changes), $joint->stage->mean());
            if ($least === null || $cost->compare($least) < 0) {
                $least = $cost;
            }
        }

        return $least ?? self::zero();
    }

    public function plus(self $that): self
    {
        return new self($this->fixes + $that->fixes, $this->boxes + $that->boxes, $this->settings + $that->settings, $this->ms + $that->ms);
    }

    public function plusBox(int $fixes = 0): self
    {
        return new self($this->fixes + $fixes, $this->boxes + 1, $this->settings, $this->ms);
    }

    public function compare(self $that): int
    {
        return $this->fixes <=> $that->fixes
            ?: $this->boxes <=> $that->boxes
            ?: $this->settings <=> $that->settings
            ?: (abs($this->ms - $that->ms) < self::SAME_MS / 2 ? 0 : $this->ms <=> $that->ms);
    }
}
