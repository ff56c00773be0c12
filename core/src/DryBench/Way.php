<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** How values get from one box to the next: through the air, or over a wire. */
interface Way
{
    /** How many channels it takes at most; null: any number. */
    public function channels(): ?int;

    /**
     * What arrives of what was sent.
     *
     * @param  list<float>  $us
     * @return list<float>
     */
    public function carry(array $us): array;

    /** How what was sent looks underway. */
    public function coupling(Carried $sent): Coupling;
}
