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
     */
    public function __construct(public int $channels, public Handset $handset, public ?Pack $pack)
    {
    }
}
