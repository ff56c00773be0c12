<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

/** Something that must match at a coupling: what one end gives and what the other takes. */
final readonly class Fact
{
    public function __construct(public string $what, public string $from, public string $to)
    {
    }
}
