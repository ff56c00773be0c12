<?php

declare(strict_types=1);

namespace Linguator\Core\Timing;

/** How many values full travel has at each stage; the smallest governs. */
final readonly class Resolution
{
    /** @param  list<array{name: string, levels: int}>  $stages */
    public function __construct(private array $stages, private float $travelUs)
    {
    }

    /** @return array{name: string, levels: int, step_us: float, share_pct: float}|null Null when nothing is known. */
    public function coarsest(): ?array
    {
        $stages = $this->stages;
        usort($stages, static fn (array $a, array $b): int => $a['levels'] <=> $b['levels']);

        return $stages === [] ? null : $this->shown($stages[0]);
    }

    /** @return list<array{name: string, levels: int, step_us: float, share_pct: float}> */
    public function stages(): array
    {
        return array_map($this->shown(...), $this->stages);
    }

    /**
     * @param  array{name: string, levels: int}  $stage
     * @return array{name: string, levels: int, step_us: float, share_pct: float}
     */
    private function shown(array $stage): array
    {
        return $stage + ['step_us' => round($this->travelUs / $stage['levels'], 3), 'share_pct' => round(100 / $stage['levels'], 3)];
    }
}
