<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** What a rig says of itself that answers a test. */
final readonly class Symptom
{
    /** @param  string  $from  Where it comes from, in one sentence. */
    public function __construct(public string $test, public string $outcome, public string $from)
    {
    }
}
