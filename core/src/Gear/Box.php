<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** A piece of gear as it stands in a chain: with what it puts out on wires and what it reads from them. */
interface Box
{
    public function id(): string;

    public function name(): string;

    public function kind(): Kind;

    public function ports(): Ports;
}
