<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Proof\CheckKind;

/** A check to be made, and why. */
final readonly class ToRedo
{
    public function __construct(public CheckKind $check, public ?int $hop, public string $because)
    {
    }
}
