<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

/** A move with what came of it. */
final readonly class Step
{
    /**
     * @param  string  $did  `test`, `name`, `change`, `look` or `give_up`.
     * @param  string|null  $what  The test, the cause that was named, or the setting that was put back.
     * @param  string|null  $outcome  Of a test; of a name `right` or `wrong`, of a setting `helped` or `nothing`.
     * @param  string  $seen  In a sentence.
     * @param  float|null  $gainBits  What the test was expected to tell.
     * @param  string|null  $best  The test that would have told most for its minutes.
     * @param  float|null  $lost  Bits a minute that were left lying.
     */
    public function __construct(
        public string $did,
        public ?string $what,
        public ?string $outcome,
        public string $seen,
        public float $minutes,
        public ?float $gainBits = null,
        public ?string $best = null,
        public ?float $bestGainBits = null,
        public ?float $lost = null,
    ) {
    }

    /** The same without what would tell which way to go. */
    public function whileItGoesOn(): self
    {
        return new self($this->did, $this->what, $this->outcome, $this->seen, $this->minutes);
    }
}
