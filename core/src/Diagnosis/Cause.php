<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** Something that can be wrong, with what each test shows then. */
final readonly class Cause
{
    /**
     * @param  float  $weight  How often, against the others.
     * @param  string  $fix  What mends it.
     * @param  string  $prove  The test that proves it mended.
     * @param  array<string, array<string, float>>  $likelihoods  By test and outcome; of each test they sum to 1.
     * @param  list<string>  $touches  Tests that show something else than when all is well.
     * @param  string|null  $needs  A part that the chain must have: `module`, `relay` or `controller`.
     * @param  string|null  $step  The step of a rig where it is set; null: it is no setting.
     */
    public function __construct(
        public string $id,
        public string $says,
        public float $weight,
        public string $fix,
        public string $prove,
        public array $likelihoods,
        public array $touches,
        public ?string $needs,
        public ?string $step,
    ) {
    }

    public function likelihood(string $test, string $outcome): float
    {
        return $this->likelihoods[$test][$outcome];
    }
}
