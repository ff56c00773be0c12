<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Some bytes of a capture in a row. */
final readonly class TimedBytes
{
    /** @param  list<float>  $times  When each began, µs; empty: the capture has no times. */
    public function __construct(public string $bytes, public array $times = [])
    {
    }

    /** These and what follows them. */
    public static function join(self ...$parts): self
    {
        return new self(implode('', array_column($parts, 'bytes')), array_merge(...array_column($parts, 'times')));
    }
}
