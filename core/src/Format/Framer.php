<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Finds the frames of one card in a stream of bytes, in chunks of any size. */
interface Framer
{
    /** @param  list<float>  $times  When each byte began, µs; empty where the capture has no times. */
    public function push(string $bytes, array $times, FrameSink $sink): void;

    /** No more bytes come. */
    public function finish(FrameSink $sink): void;
}
