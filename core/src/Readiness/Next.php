<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\StepState;

/** The verdict on a rig in a word and a sentence, and the one next thing to do. */
final readonly class Next
{
    /** @param  string  $label  `Ready`, `Ready to sign off`, `Not ready` or `Do not power`. */
    public function __construct(public StepState $severity, public string $label, public string $sentence, public StepKey $step, public string $action)
    {
    }
}
