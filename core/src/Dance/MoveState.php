<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What became of a move. */
enum MoveState: string
{
    case Found = 'found';
    case NotSeen = 'not_seen';
    /** More than one reading fits, or none does. */
    case Unclear = 'unclear';
    /** Made again directly after; the last one counts. */
    case Twice = 'twice';

    public function isFound(): bool
    {
        return $this === self::Found || $this === self::Twice;
    }
}
