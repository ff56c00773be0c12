<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Switching\CurvePoint;

/** Rate, low rate and expo of a stick, with what they give. %, and µs. */
final readonly class RateRow
{
    /**
     * @param  float|null  $lowRatePct  Null: it has no low rate.
     * @param  float  $centreGain  Slope at the centre; 1 without rate and expo.
     * @param  list<CurvePoint>  $curve
     * @param  list<CurvePoint>|null  $lowCurve
     */
    public function __construct(
        public int $channel,
        public string $function,
        public float $ratePct,
        public ?float $lowRatePct,
        public float $expoPct,
        public ThrowUs $throwUs,
        public ?ThrowUs $lowThrowUs,
        public float $centreGain,
        public array $curve,
        public ?array $lowCurve,
    ) {
    }

    public function isPlain(): bool
    {
        return $this->ratePct === 100.0 && $this->expoPct === 0.0 && $this->lowRatePct === null;
    }
}
