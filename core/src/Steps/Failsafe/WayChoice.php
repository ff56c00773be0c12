<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Failsafe\SetBy;

/** A way in which a failsafe can be set, with exactly what to do. */
final readonly class WayChoice
{
    public function __construct(public SetBy $way, public string $says)
    {
    }
}
