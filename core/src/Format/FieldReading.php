<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** What one part of a frame says. */
final readonly class FieldReading
{
    /** @param  bool  $sound  Is it as it should be? */
    public function __construct(public string $name, public string $says, public bool $sound = true)
    {
    }
}
