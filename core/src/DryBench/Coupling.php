<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** Two boxes joined, and what runs between them now. */
final readonly class Coupling
{
    /**
     * @param  list<float|null>|null  $us  Channel values as they leave; null: nothing does.
     * @param  list<int>|null  $raw  Counts on the wire.
     * @param  string|null  $hex  The whole frame.
     * @param  float  $periodMs  From frame to frame.
     * @param  bool  $inverted  The wire idles low.
     * @param  \stdClass  $flags  By name.
     * @param  bool|null  $silent  Null: nobody knows.
     */
    public function __construct(
        public string $from,
        public string $to,
        public string $via,
        public ?array $us,
        public ?array $raw,
        public ?string $hex,
        public float $periodMs,
        public bool $inverted,
        public \stdClass $flags,
        public ?bool $silent,
    ) {
    }

    /** Whether something can be read from it. */
    public function isHeard(): bool
    {
        return $this->us !== null;
    }
}
