<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Handset;

/** One line of the handset's checklist. */
final readonly class HandsetItem
{
    /** @param  string|null  $warning  What speaks against it. */
    public function __construct(public string $key, public string $title, public string $text, public ?string $value, public bool $done, public ?string $warning)
    {
    }
}
