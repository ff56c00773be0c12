<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** The light of a box that has a radio. */
final readonly class Light
{
    public function __construct(public string $box, public Shows $shows)
    {
    }
}
