<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** What one frame carries. */
final readonly class Frame
{
    /**
     * @param  array<int, int>  $counts  By channel, from 1.
     * @param  array<string, bool>  $flags  Digital channels among them.
     * @param  array<string, int>  $values  Named bytes.
     */
    public function __construct(public array $counts, public array $flags = [], public array $values = [])
    {
    }
}
