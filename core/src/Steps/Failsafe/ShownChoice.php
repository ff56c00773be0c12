<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Failsafe\Shown;

/** Something that may be seen in a test, as it is offered. */
final readonly class ShownChoice
{
    public function __construct(public Shown $shows, public string $says)
    {
    }
}
