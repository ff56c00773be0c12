<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Format\TimedBytes;

/** A file of raw bytes. */
final readonly class BinaryReader implements ByteCapture
{
    public function __construct(private Source $source)
    {
    }

    public function bytes(): \Generator
    {
        foreach ($this->source->chunks() as $chunk) {
            yield new TimedBytes($chunk);
        }
    }
}
