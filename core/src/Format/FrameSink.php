<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Takes what a framer finds, in the order on the wire. Offsets count bytes from the start of the capture; times are µs, null where there are none. */
interface FrameSink
{
    public function frames(FrameRun $run): void;

    /**
     * A stretch that is no sound frame.
     *
     * @param  positive-int  $frames  How many frames it stands for.
     */
    public function bad(string $reason, int $offset, int $bytes, int $frames, ?float $us): void;

    /** A sound frame of another type. */
    public function other(string $type, string $frame, int $offset, ?float $us): void;
}
