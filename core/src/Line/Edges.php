<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** Changes of one wire, in order: the level alternates from one to the next. */
final readonly class Edges
{
    /**
     * @param  int  $level  Level of the wire after the first change: 0 or 1.
     * @param  list<float>  $times  µs from the start of the capture, growing.
     */
    public function __construct(public int $level, public array $times)
    {
    }

    /** Level of the wire after the last change. */
    public function lastLevel(): int
    {
        return $this->level ^ (count($this->times) + 1 & 1);
    }
}
