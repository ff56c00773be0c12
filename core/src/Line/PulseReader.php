<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** The changes of a wire to the channel values that its pulses carry. */
interface PulseReader
{
    public function push(Edges $edges, PulseSink $sink): void;

    public function finish(PulseSink $sink): void;
}
