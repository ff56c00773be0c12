<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** What a cause is in a sentence, what mends it, and the test that proves it mended. */
final readonly class Remedy
{
    /** @param  string|null  $step  The step of a rig where it is set; null: it is no setting. */
    public function __construct(public string $id, public string $says, public string $fix, public string $prove, public ?string $step)
    {
    }
}
