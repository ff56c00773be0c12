<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** One thing to choose: what is kept, and what is shown. */
final readonly class Choice
{
    public function __construct(public string $key, public string $title)
    {
    }
}
