<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** A stick found on a channel, and whether it runs the other way. */
final readonly class FoundStick
{
    public function __construct(public Letter $letter, public bool $reversed)
    {
    }
}
