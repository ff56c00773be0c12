<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

/** How sure a line of the sheet is. */
enum RowState: string
{
    case Known = 'known';
    case Open = 'open';
    case Attention = 'attention';
}
