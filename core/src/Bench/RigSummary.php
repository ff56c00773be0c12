<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Readiness\Next;
use Linguator\Core\Steps\Path\CouplingMark;

/** What a row of the bench shows of a rig. */
final readonly class RigSummary
{
    /**
     * @param  \stdClass  $craft  As the document has it.
     * @param  list<BoxView>  $boxes
     * @param  list<CouplingMark>  $couplings
     */
    public function __construct(public string $name, public \stdClass $craft, public array $boxes, public array $couplings, public Next $next)
    {
    }
}
