<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Standing;
use Linguator\Core\Steps\StepState;

/** A step with how it stands. */
final readonly class Step
{
    private function __construct(public StepKey $key, public string $title, public StepState $state, public string $note)
    {
    }

    public static function of(StepKey $key, Standing $standing): self
    {
        return new self($key, $key->title(), $standing->state, $standing->note);
    }
}
