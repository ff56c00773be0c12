<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** How a rig's values read in percent of its handset, and in counts on its wire. */
final readonly class UnitsView
{
    /** @param  RawUnitMap|null  $raw  Null: no wire carries counts. */
    public function __construct(public UnitMap $percent, public ?RawUnitMap $raw)
    {
    }
}
