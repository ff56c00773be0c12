<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\Damage;

/** A capture that is a table of values already: there is no format to find. */
final readonly class ValueLog
{
    /** Nothing is guessed. */
    public float $confidence;

    public Passage $passage;

    public function __construct(public Begin $begin, public Damage $damage, public FrameTally $tally)
    {
        $this->confidence = 1;
        $this->passage = new Passage;
    }

    /** @param  string  $name  Of the capture, for the error. */
    public function withValues(string $name): self
    {
        return $this;
    }

    /** Rows carry themselves. */
    public function carrier(): Carrier
    {
        return new Carrier;
    }
}
