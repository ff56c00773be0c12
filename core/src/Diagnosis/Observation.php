<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** What a test showed. */
final readonly class Observation
{
    /** Weighs nothing, and is not asked again. */
    public const CANNOT_DO = 'cannot_do';

    /** @param  bool  $isMeasured  It follows from numbers, not from what somebody saw. */
    public function __construct(public string $test, public string $outcome, public bool $isMeasured = false)
    {
    }

    public function weighs(): bool
    {
        return $this->outcome !== self::CANNOT_DO;
    }
}
