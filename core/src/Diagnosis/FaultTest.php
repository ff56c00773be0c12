<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** Something that can be looked at, with what it may show and what it costs. */
final readonly class FaultTest
{
    /**
     * @param  string  $how  How it is done safely.
     * @param  float  $minutes  What it costs.
     * @param  string|null  $risk  The precaution it needs; null: nothing turns and nothing is live.
     * @param  string  $sound  What it shows when nothing is wrong with what it looks at.
     * @param  array<string, string>  $outcomes  In words, by id.
     * @param  string|null  $needs  A part that the chain must have: `module`, `relay` or `controller`.
     */
    public function __construct(
        public string $id,
        public string $asks,
        public string $how,
        public float $minutes,
        public ?string $risk,
        public string $sound,
        public array $outcomes,
        public ?string $needs,
    ) {
    }

    public function may(string $outcome): bool
    {
        return isset($this->outcomes[$outcome]);
    }
}
