<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

/** A place of the receiver's antenna that can be chosen, with what it costs. */
final readonly class AntennaPlace
{
    public function __construct(public string $place, public string $price, public bool $isChosen)
    {
    }
}
