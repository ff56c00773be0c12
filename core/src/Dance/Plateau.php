<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** A stretch in which a channel stays where it is. */
final readonly class Plateau
{
    /**
     * @param  int  $first  Of the rows that are used, from 0.
     * @param  float  $us  Its median.
     */
    public function __construct(public int $first, public int $last, public float $fromMs, public float $toMs, public float $us)
    {
    }

    public function lastsMs(): float
    {
        return $this->toMs - $this->fromMs;
    }
}
