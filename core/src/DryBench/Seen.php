<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** An outcome, and what it was read from where numbers tell more than its words. */
final readonly class Seen
{
    public function __construct(public string $outcome, public ?string $detail = null)
    {
    }
}
