<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

/** A capture that holds bytes. */
interface ByteCapture
{
    /** @return \Generator<int, array{string, list<float>}> Bytes, and when each of them came in µs (empty: the capture has no times). May be asked again. */
    public function bytes(): \Generator;
}
