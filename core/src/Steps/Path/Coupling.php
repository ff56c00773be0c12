<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Chain\Miss;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Rig\SettingToMake;

/** What joins two neighbours, what must match there, and what is still to be done about it. */
final readonly class Coupling
{
    /**
     * @param  string  $from  Id of the box.
     * @param  string|null  $via  Format id, or family/variant; null: no way to join.
     * @param  int  $open  How many things are to be done.
     * @param  list<Fact>  $facts
     * @param  list<SettingToMake>  $changes
     * @param  list<Miss>  $misses
     * @param  list<CouplingWay>  $ways  Every way in which the two join.
     */
    public function __construct(
        public string $from,
        public string $to,
        public CouplingKind $kind,
        public ?string $via,
        public string $label,
        public string $detail,
        public CouplingState $state,
        public int $open,
        public array $facts,
        public Findings $findings,
        public array $changes,
        public array $misses,
        public array $ways,
    ) {
    }

    public function mark(): CouplingMark
    {
        return new CouplingMark($this->from, $this->to, $this->kind, $this->label, $this->state, $this->open);
    }
}
