<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

/** A part of the sheet under its heading. */
final readonly class SheetSection
{
    /**
     * @param  list<SheetRow>  $rows
     * @param  string|null  $wire  The box from which the wires of this part run; null: it is not of wires.
     */
    public function __construct(public string $title, public array $rows, public ?string $wire = null)
    {
    }
}
