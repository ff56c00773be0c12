<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** Takes the frames of a pulse signal, in order. */
interface PulseSink
{
    /** @param  non-empty-array<int, int>  $widths  By channel, from 1; ns. */
    public function pulses(array $widths, float $us): void;

    /** @param  array<int, int>  $widths  What was there of it, ns. */
    public function badPulses(string $reason, array $widths, float $us): void;
}
