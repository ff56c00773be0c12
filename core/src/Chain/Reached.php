<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Gear\Receiver;

/** A receiver that a sender reaches, with the least it costs from there to the craft. */
final readonly class Reached
{
    public function __construct(public Cost $least, public Receiver $receiver, public Ways $ways)
    {
    }

    /** Which of two goes first: the cheaper one. */
    public static function compare(self $a, self $b): int
    {
        return $a->least->compare($b->least) ?: strcmp($a->receiver->id, $b->receiver->id);
    }
}
