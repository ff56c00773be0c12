<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** What is wrong with a reading that is being typed, and at which key; where its values only run the other way, it is that of a reversed stick. */
final readonly class DraftProblem
{
    public function __construct(public string $message, public string $path, public bool $isReversed = false)
    {
    }
}
