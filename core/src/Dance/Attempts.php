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
        $complete = array_values(array_filter($ways, $move->fits(...)));
        $last = $ways[count($ways) - 1];
        if ($complete !== []) {
            return $move->fits($last) ? new self($last, count($complete) > 1) : null;
        }
        $joined = $ways[0];
        foreach (array_slice($ways, 1) as $way) {
            $joined = $joined->joined($way);
        }

        return $move->joins() && $move->fits($joined) ? new self($joined, false) : null;
    }
}
