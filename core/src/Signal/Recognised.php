<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\Damage;
use Linguator\Core\Line\LineFacts;

/** A capture whose format is known, with all that was counted in it. */
final readonly class Recognised
{
    /** @param  float  $confidence  0 to 1. */
    public function __construct(public Begin $begin, public Passage $passage, public Damage $damage, public float $confidence, public string $format, public FrameTally $tally)
    {
    }

    /** @param  string  $name  Of the capture, for the error. */
    public function withValues(string $name): self
    {
        return $this;
    }

    /** What frames are read by when the capture is gone through again. */
    public function carrier(): Carrier
    {
        return $this->begin->carrier();
    }

    /** Is the measured bit time too far from the card's? Only where a format was asked for: else it would not have been taken. */
    public function isWrongBaud(): bool
    {
        $card = $this->carrier()->card;
        $bitUs = $this->begin->facts?->bitUs;

        return $card !== null && $this->begin->options->asked() !== null && $bitUs !== null
            && abs(1e6 / $bitUs - $card->baud) > $card->baud * LineFacts::BAUD_TOLERANCE;
    }
}
