<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Timing\Delay;
use Linguator\Core\Timing\DelayShare;

/** The delay of a chain, and what each stage has in it. */
final readonly class DelayView
{
    /** @param  list<DelayShare>  $stages */
    public function __construct(public Delay $ms, public array $stages)
    {
    }
}
