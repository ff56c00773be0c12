<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/** A combination that may still bind, with its chance now, above 0 and up to 1. */
final readonly class Rung
{
    public function __construct(public Combination $combination, public float $chance)
    {
    }

    /** By which rungs are sorted: chance per minute. */
    public function worth(): float
    {
        return $this->chance / $this->combination->minutes;
    }
}
