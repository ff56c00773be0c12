<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** What a box puts out on wires and what it reads from them, in the sequence of its card: the first is how it is delivered. */
final readonly class Ports
{
    /**
     * @param  list<OutputPort>  $outputs
     * @param  list<InputPort>  $inputs
     */
    public function __construct(public array $outputs = [], public array $inputs = [])
    {
    }
}
