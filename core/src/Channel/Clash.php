<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** A function that cannot stay on its channel, and why. */
final readonly class Clash
{
    /** @param  string|null  $with  What has the channel; null: nothing that is named. */
    public function __construct(public FunctionChannel $entry, public ClashKind $kind, public ?string $with = null)
    {
    }
}
