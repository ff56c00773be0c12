<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** A channel that moved and then stands still to the end. */
final readonly class StuckChannel
{
    /**
     * @param  float  $us  Where it stands.
     * @param  int  $from  Since which frame, from 0.
     * @param  float|null  $fromUs  Since when; null: the capture has no times.
     * @param  bool  $isBack  Does it stand where it began?
     */
    public function __construct(public int $channel, public float $us, public int $from, public ?float $fromUs, public bool $isBack)
    {
    }
}
