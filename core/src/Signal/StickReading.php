<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Steps;

/** Where a channel of a capture ended and where it rested, µs. */
final readonly class StickReading
{
    /** So near to an end, as a part of the travel, a stick rests there and not in its middle. */
    private const AT_AN_END = 0.1;

    /**
     * @param  float  $mid  The median, so a stick must rest more than half the time. One that rests at an end (a throttle) has its middle halfway: it was not measured.
     * @param  bool  $moved  From end to end.
     * @param  bool  $rested  In its middle.
     */
    private function __construct(public float $lo, public float $mid, public float $hi, public bool $moved, public bool $rested)
    {
    }

    /** @param  non-empty-list<float>  $values  µs. */
    public static function of(array $values): self
    {
        sort($values);
        [$lo, $mid, $hi] = [$values[0], $values[intdiv(count($values), 2)], $values[count($values) - 1]];
        $rested = min($mid - $lo, $hi - $mid) > self::AT_AN_END * ($hi - $lo);

        return new self(Steps::clean($lo), Steps::clean($rested ? $mid : ($lo + $hi) / 2), Steps::clean($hi), $hi - $lo >= Pulse::END_TO_END_US, $rested);
    }
}
