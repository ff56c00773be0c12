<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Timing\TrainVerdict;

/** What becomes of a pulse train whose unused channels are held. */
final readonly class HeldVerdict
{
    public function __construct(public float $atUs, public TrainVerdict $verdict)
    {
    }
}
