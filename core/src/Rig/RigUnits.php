<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\Joint;

/** How a rig's values read in percent of its handset and in counts on its wire: value = centre + (µs − 1500) × per_us. */
final readonly class RigUnits
{
    private const CENTRE_US = 1500.0;

    public function __construct(private RigDocument $rig, private ChainReview $chain)
    {
    }

    /** @return array{percent: array{centre: float, per_us: float}, raw: array{centre: float, per_us: float, format: string}|null} */
    public function toArray(): array
    {
        $scale = (new HandsetCard($this->rig))->scale();
        $format = $this->serialWire()?->output?->format;

        return [
            'percent' => ['centre' => $scale->percent(self::CENTRE_US), 'per_us' => 100 / $scale->usPer100],
            'raw' => $format?->raw === null ? null : ['centre' => $format->raw['centre'], 'per_us' => 1 / $format->raw['us'], 'format' => $format->name],
        ];
    }

    /** The last wire that carries counts: the one nearest to what reads them. */
    private function serialWire(): ?Joint
    {
        $wire = null;
        foreach ($this->chain->path->joints ?? [] as $joint) {
            $wire = $joint->output?->format->raw === null ? $wire : $joint;
        }

        return $wire;
    }
}
