<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Failsafe\FailsafeMode;

/** A mode that can be chosen, in words. */
final readonly class ModeChoice
{
    public function __construct(public FailsafeMode $mode, public string $says)
    {
    }
}
