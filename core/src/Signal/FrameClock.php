<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;

/** When a frame is taken to begin where the capture has no times: one after the other at the format's usual period. */
final readonly class FrameClock
{
    public function __construct(private FormatCard $card)
    {
    }

    /** µs from the begin of the capture. */
    public function at(int $index, ?float $us): float
    {
        return $us ?? $index * $this->card->usualMs * 1000;
    }
}
