<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** The same train with its unused channels held. µs. */
final readonly class HeldTrain
{
    public function __construct(public float $atUs, public float $worstSyncUs, public bool $sound)
    {
    }
}
