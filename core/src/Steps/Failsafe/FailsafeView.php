<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

/** What the failsafe step shows. */
final readonly class FailsafeView
{
    /**
     * @param  list<LossHop>  $hops
     * @param  string  $recovery  Where the throttle stick must be when the link comes back.
     */
    public function __construct(public array $hops, public string $recovery)
    {
    }
}
