<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

/** A part of the sheet under its heading. */
final readonly class SheetSection
{
    /** @param  list<SheetRow>  $rows */
    public function __construct(public string $title, public array $rows)
    {
    }
}
