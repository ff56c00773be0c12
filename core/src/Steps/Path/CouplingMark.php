<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

/** A coupling in miniature, as a row of the bench has it. */
final readonly class CouplingMark
{
    /** @param  int  $open  How many things about it are to be done. */
    public function __construct(public string $from, public string $to, public CouplingKind $kind, public string $label, public CouplingState $state, public int $open)
    {
    }
}
