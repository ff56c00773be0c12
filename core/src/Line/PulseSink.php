<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** Takes the frames of a pulse signal, in order. */
interface PulseSink
{
    public function pulses(Pulses $pulses): void;

    /** @param  Pulses  $pulses  What was there of the frame. */
    public function badPulses(string $reason, Pulses $pulses): void;
}
