<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** Channel values to the changes of a wire: a pulse train, or one pulse. */
final readonly class PulseWriter
{
    public const SEPARATOR_US = 300.0;

    /** @param  int  $active  Level of the separators, or of the pulse; the wire idles at the other one. */
    public function __construct(private int $active)
    {
    }

    /** @param  list<float>  $us  Pulse widths by channel. */
    public function train(array $us, float $startUs, float $separatorUs = self::SEPARATOR_US): Edges
    {
        $times = [];
        $lead = $startUs;
        foreach ([...$us, 0.0] as $width) {
            $times[] = $lead;
            $times[] = $lead + $separatorUs;
            $lead += $width;
        }

        return new Edges($this->active, $times);
    }

    public function pulse(float $us, float $startUs): Edges
    {
        return new Edges($this->active, [$startUs, $startUs + $us]);
    }
}
