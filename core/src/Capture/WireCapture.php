<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Line\Edges;

/** A capture that holds the changes of one or more wires. */
interface WireCapture
{
    /** @return list<string> Names of the wires, as the capture tells them. */
    public function wires(): array;

    /** How far apart its samples lie, µs: what is finer stands between two of them; null: its times are its own. */
    public function grainUs(): ?float;

    /** Position of the wire that changes most. */
    public function busiest(): int;

    /**
     * The changes of one wire. May be asked again.
     *
     * @param  int  $wire  Position in `wires`.
     * @return \Generator<int, Edges>
     */
    public function edges(int $wire): \Generator;
}
