<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

/** One line of the sheet. */
final readonly class SheetRow
{
    /** @param  string  $key  By which it is known again when it changes. */
    public function __construct(public string $key, public string $label, public string $value, public RowState $state = RowState::Known)
    {
    }
}
