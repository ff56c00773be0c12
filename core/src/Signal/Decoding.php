<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\Damage;
use Linguator\Core\Document\DocumentError;

/** What was found in a capture: `Recognised`, `ValueLog` or `Unrecognised`. */
abstract readonly class Decoding
{
    /** Below this a format is not recognised. */
    public const RECOGNISED = 0.6;

    /** @param  float  $confidence  0 to 1. */
    public function __construct(public Begin $begin, public Passage $passage, public Damage $damage, public float $confidence)
    {
    }

    /**
     * Itself, where it has values.
     *
     * @param  string  $name  Of the capture, for the error.
     *
     * @throws DocumentError if it is not recognised.
     */
    abstract public function withValues(string $name): Recognised|ValueLog;

    /** What frames are read by when the capture is gone through again. */
    abstract public function carrier(): Carrier;
}
