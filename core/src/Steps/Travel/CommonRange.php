<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** The range that every channel read can fill, µs. */
final readonly class CommonRange
{
    public function __construct(public float $lo, public float $hi)
    {
    }
}
