<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

/** A function beyond the sticks, by both its names: the channel, and the controller's auxiliary. */
final readonly class Auxiliary
{
    public function __construct(public string $function, public int $channel, public int $auxiliary)
    {
    }
}
