<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** How many values full travel has at each stage; the smallest governs. */
final readonly class Resolution
{
    /**
     * @param  list<StageLevels>  $stages
     * @param  float  $travelUs  From end to end, µs.
     */
    public function __construct(private array $stages, private float $travelUs)
    {
    }

    /** Null when nothing is known. */
    public function coarsest(): ?StageStep
    {
        $stages = $this->stages;
        usort($stages, static fn (StageLevels $a, StageLevels $b): int => $a->levels <=> $b->levels);

        return $stages === [] ? null : $this->step($stages[0]);
    }

    /** @return list<StageStep> */
    public function steps(): array
    {
        return array_map($this->step(...), $this->stages);
    }

    private function step(StageLevels $stage): StageStep
    {
        return new StageStep($stage->name, $stage->levels, round($this->travelUs / $stage->levels, 3), round(100 / $stage->levels, 3));
    }
}
