<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\Ways;
use Linguator\Core\Finding\Code;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Receiver;

/** Two neighbours in a rig's chain: every way in which they join, or what keeps them apart. */
final readonly class Neighbours
{
    /**
     * @param  Ways  $ways  Every one that this gear allows.
     * @param  Ways  $recorded  Those by what was recorded; all of them where nothing was, or nothing possible.
     * @param  list<Code>  $misses  Why they do not join.
     */
    public function __construct(public Box $from, public Box $to, public Ways $ways, public Ways $recorded, public array $misses)
    {
    }

    public function join(): bool
    {
        return ! $this->ways->areNone();
    }

    public function isAir(): bool
    {
        return $this->to instanceof Receiver;
    }
}
