<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\Damage;

/** A capture that is a table of values already: there is no format to find. */
final readonly class ValueLog extends Decoding
{
    public function __construct(Begin $begin, Damage $damage, public FrameTally $tally)
    {
        parent::__construct($begin, new Passage, $damage, 1);
    }

    public function withValues(string $name): self
    {
        return $this;
    }

    public function carrier(): Carrier
    {
        return new Carrier;
    }
}
