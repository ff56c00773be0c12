<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Gear\Handset;
use Linguator\Core\Supply\Pack;

/** What every coupling of a plan is judged with. */
final readonly class JoinContext
{
    /**
     * @param  positive-int  $channels  How many channels must get through.
     * @param  Pack|null  $pack  What feeds the handset and its bay; null: not known.
     * @param  array<string, string>  $modes  Channel modes in force by `from/to`, where one was bound.
     */
    public function __construct(public int $channels, public Handset $handset, public ?Pack $pack, private array $modes = [])
    {
    }

    /** The channel mode in which these two are bound; null: none is recorded. */
    public function boundMode(string $from, string $to): ?string
    {
        return $this->modes["$from/$to"] ?? null;
    }
}
