<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** A channel the link to a receiver keeps. */
final readonly class ReservedChannel
{
    /** @param  string|null  $for  The function; null: the link itself. */
    public function __construct(public int $channel, public ?string $for)
    {
    }
}
