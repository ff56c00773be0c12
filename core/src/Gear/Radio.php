<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** A radio that sends: one inside a handset, or a module. */
final readonly class Radio
{
    /** @param  list<Protocol>  $protocols */
    public function __construct(public string $id, public array $protocols, public bool $alwaysOn = false, public int $index = 0)
    {
    }
}
