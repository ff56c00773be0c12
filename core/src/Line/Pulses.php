<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** One frame of a pulse signal. */
final readonly class Pulses
{
    /**
     * @param  array<int, int>  $ns  Widths by channel, from 1.
     * @param  float  $us  When it begins.
     * @param  float|null  $gapUs  The interval behind its last channel; null: not measured.
     */
    public function __construct(public array $ns, public float $us, public ?float $gapUs = null)
    {
    }
}
