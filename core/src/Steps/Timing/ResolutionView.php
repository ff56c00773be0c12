<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Timing\StageStep;

/** How fine a stick's travel is told at each stage; the coarsest governs. */
final readonly class ResolutionView
{
    /**
     * @param  list<StageStep>  $stages
     * @param  StageStep|null  $coarsest  Null: nothing is known.
     */
    public function __construct(public array $stages, public ?StageStep $coarsest)
    {
    }
}
