<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\Damage;
use Linguator\Core\Document\DocumentError;

/** A capture that no known format explains: it has line facts, and no values. */
final readonly class Unrecognised
{
    /** @param  UnknownFrame|null  $frame  What its first bytes show of a frame; null: no length was seen to repeat. */
    private function __construct(public Begin $begin, public Passage $passage, public Damage $damage, public float $confidence, public ?UnknownFrame $frame)
    {
    }

    /** @param  float  $confidence  Of the format that comes nearest, below `Score::RECOGNISED`. */
    public static function of(Begin $begin, Passage $passage, Damage $damage, float $confidence): self
    {
        return new self($begin, $passage, $damage, $confidence, UnknownFrame::in($begin->bytes));
    }

    /**
     * @param  string  $name  Of the capture, for the error.
     *
     * @throws DocumentError always.
     */
    public function withValues(string $name): never
    {
        throw DocumentError::at('capture', "\"$name\" is not recognised, so it has no values to take.", 'not_recognised');
    }

    /** Nothing can be read; the wire is still that one. */
    public function carrier(): Carrier
    {
        return new Carrier(wire: $this->begin->wire ?? 0);
    }
}
