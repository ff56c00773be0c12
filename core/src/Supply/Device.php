<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

/** Something that is fed, and what it takes. */
final readonly class Device
{
    public function __construct(public string $name, public SupplyRange $range)
    {
    }
}
