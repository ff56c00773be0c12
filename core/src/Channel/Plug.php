<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** Which pin a plug goes into, and what is printed there. */
final readonly class Plug
{
    public function __construct(public Letter $letter, public int $pin, public Letter $label)
    {
    }
}
