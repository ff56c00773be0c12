<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\SetBy;

/** A way in which a failsafe can be set, with exactly what to do. */
final readonly class WayChoice
{
    /**
     * @param  string  $says  How values are stored in this way.
     * @param  string  $saysOtherwise  How a mode is chosen in this way that stores none.
     */
    public function __construct(public SetBy $way, public string $says, public string $saysOtherwise)
    {
    }

    public function in(?FailsafeMode $mode): string
    {
        return $mode === null || $mode === FailsafeMode::Stored ? $this->says : $this->saysOtherwise;
    }
}
