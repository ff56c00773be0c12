<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Rig\RigDocument;

/** How a rig's values read in percent of its handset, and in counts on its wire. */
final readonly class RigUnits
{
    public function __construct(private RigDocument $rig)
    {
    }

    public function shown(): UnitsView
    {
        $scale = $this->rig->handset()->scale();
        $format = $this->serialWire()?->output?->format;

        return new UnitsView(
            new UnitMap($scale->percent(Pulse::CENTRE_US), 100 / $scale->usPer100),
            $format?->raw === null ? null : new RawUnitMap($format->raw['centre'], 1 / $format->raw['us'], $format->name),
        );
    }

    /** The last wire that carries counts: the one nearest to what reads them. */
    private function serialWire(): ?Joint
    {
        $wire = null;
        foreach ($this->rig->chain()->joints() as $joint) {
            $wire = $joint->output?->format->raw === null ? $wire : $joint;
        }

        return $wire;
    }
}
