<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** The test that tells most for its time. */
final readonly class NextTest
{
    /**
     * @param  float  $gainBits  How much of the doubt it is expected to take away.
     * @param  string|null  $risk  The precaution it needs.
     */
    public function __construct(public string $test, public float $gainBits, public float $minutes, public ?string $risk)
    {
    }
}
