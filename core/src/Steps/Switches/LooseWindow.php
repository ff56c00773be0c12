<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

/** A window on a channel that no switch moves. µs. */
final readonly class LooseWindow
{
    /** @param  int  $position  In the rig's list of windows, from 0. */
    public function __construct(public int $position, public string $name, public int $channel, public float $lo, public float $hi)
    {
    }
}
