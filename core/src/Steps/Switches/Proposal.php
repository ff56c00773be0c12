<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Channel\Move;

/** The fewest moves that put the channels right. */
final readonly class Proposal
{
    /** @param  non-empty-list<Move>  $moves */
    public function __construct(public array $moves)
    {
    }
}
