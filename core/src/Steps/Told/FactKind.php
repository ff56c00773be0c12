<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

/** How something is said. */
enum FactKind: string
{
    case Text = 'text';
    case Paragraph = 'paragraph';
    case Number = 'number';
    case YesNo = 'yes_no';
    case Choice = 'choice';
}
