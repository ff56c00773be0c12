<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Format\TimedBytes;

/** A capture that holds bytes. */
interface ByteCapture
{
    /** @return \Generator<int, TimedBytes> May be asked again. */
    public function bytes(): \Generator;
}
