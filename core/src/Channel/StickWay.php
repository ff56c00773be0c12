<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** The way of one stick: where it leaves, where it arrives, and what the reader takes it for. */
final readonly class StickWay
{
    public function __construct(public Letter $letter, public int $handsetChannel, public int $arrivesOn, public Letter $readAs)
    {
    }
}
