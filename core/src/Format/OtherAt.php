<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** A sound frame of another type, where it was found. */
final readonly class OtherAt
{
    /**
     * @param  int  $size  Bytes.
     * @param  string  $type  Its type byte in hex.
     */
    public function __construct(public int $size, public string $type)
    {
    }
}
