<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** What is wrong with a reading that is being typed, and at which key. */
final readonly class DraftProblem
{
    public function __construct(public string $message, public string $path)
    {
    }
}
