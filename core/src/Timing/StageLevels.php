<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** How many values full travel has at one stage. */
final readonly class StageLevels
{
    public function __construct(public string $name, public int $levels)
    {
    }
}
