<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** A function that goes from one channel to another. */
final readonly class Move
{
    public function __construct(public string $function, public int $from, public int $to)
    {
    }
}
