<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** The values of a capture at one moment. */
final readonly class ValueRow
{
    /**
     * @param  float  $ms  From the begin of the capture.
     * @param  array<int, float>  $us  By channel, from 1.
     */
    public function __construct(public float $ms, public array $us)
    {
    }
}
