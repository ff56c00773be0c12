<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** A cause that is still possible, with its share and what speaks for it. */
final readonly class Suspect
{
    /**
     * @param  float  $p  From 0 to 1; of all suspects they sum to 1.
     * @param  list<string>  $because  What was seen that fits it.
     */
    public function __construct(public string $cause, public float $p, public array $because)
    {
    }
}
