<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** A window of the controller, and whether its channel lies in it. */
final readonly class WindowState
{
    public function __construct(public string $name, public bool $inside)
    {
    }
}
