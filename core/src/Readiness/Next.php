<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\StepState;

/** The verdict on a rig in one sentence, and the one next thing to do. */
final readonly class Next
{
    public function __construct(public StepState $severity, public string $sentence, public StepKey $step, public string $action)
    {
    }
}
