<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

/** One thing that two rigs have set differently, in words. */
final readonly class LikeLine
{
    /** @param  string  $key  By which it is chosen. */
    public function __construct(public string $key, public string $name, public string $here, public string $there)
    {
    }
}
