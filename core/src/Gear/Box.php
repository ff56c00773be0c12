<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** A piece of gear as it stands in a chain: with what it puts out on wires and what it reads from them. */
interface Box
{
    public function id(): string;

    public function name(): string;

    public function kind(): Kind;

    /** @return list<OutputPort> In the sequence of the card: the first is how it is delivered. */
    public function outputs(): array;

    /** @return list<InputPort> */
    public function inputs(): array;
}
