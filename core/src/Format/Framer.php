<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Finds the frames of one card in a stream of bytes, in chunks of any size. */
interface Framer
{
    public function push(TimedBytes $some, FrameSink $sink): void;

    /** No more bytes come. */
    public function finish(FrameSink $sink): void;
}
