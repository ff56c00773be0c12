<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Gear\Shelf;

/** When something is done to a rig, and with what at hand. */
final readonly class Occasion
{
    /** @param  string  $at  As documents have it, `2026-11-03T10:12:00Z`. */
    public function __construct(public string $at, public Shelf $shelf)
    {
    }
}
