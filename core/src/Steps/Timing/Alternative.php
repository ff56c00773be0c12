<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Timing\Delay;

/** The same boxes with one coupling done otherwise. */
final readonly class Alternative
{
    /** @param  float  $gainMs  By how much the mean delay falls; negative: it rises. */
    public function __construct(public string $what, public string $where, public Delay $ms, public float $gainMs)
    {
    }
}
