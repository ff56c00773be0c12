<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** The furthest a channel went to one side, µs, and whether it was held there. */
final readonly class WayEnd
{
    public function __construct(public float $us, public bool $isHeld)
    {
    }
}
