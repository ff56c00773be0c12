<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** What a cause is in a sentence, what mends it, and the test that proves it mended. */
final readonly class Remedy
{
    public function __construct(public string $id, public string $says, public string $fix, public string $prove)
    {
    }
}
