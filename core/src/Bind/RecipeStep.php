<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/** One thing to do, the light to expect then, and a countdown where seconds count. */
final readonly class RecipeStep
{
    public function __construct(public string $text, public ?string $light = null, public ?float $seconds = null)
    {
    }
}
