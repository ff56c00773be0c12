<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What one channel did in the time of a move, read as that move. */
final readonly class Attempts
{
    private function __construct(public Way $last, public bool $isTwice)
    {
    }

    /**
     * Null: it is not this move, or only a part of it.
     *
     * @param  non-empty-list<Way>  $ways  Of one channel, one after the other. What reached one end only is no attempt, but the last must be one.
     */
    public static function of(Move $move, array $ways): ?self
    {
        [$last, $count, $isOpen] = [null, 0, false];
        foreach ($move->joins() ? Way::apart($ways, $move->fits(...)) : $ways as $way) {
            $isOpen = ! $move->fits($way);
            [$last, $count] = $isOpen ? [$last, $count] : [$way, $count + 1];
        }

        return $last === null || $isOpen ? null : new self($last, $count > 1);
    }
}
