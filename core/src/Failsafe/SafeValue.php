<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

/** What to store on one channel for a safe loss. */
final readonly class SafeValue
{
    /**
     * @param  int  $channel  As the receiver puts it out.
     * @param  float  $us  µs
     * @param  string  $words  Where the control is held, like `throttle low`; empty: in its middle.
     */
    public function __construct(public int $channel, public string $function, public float $us, public string $words)
    {
    }
}
