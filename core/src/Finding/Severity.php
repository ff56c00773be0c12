<?php

declare(strict_types=1);

namespace Linguator\Core\Finding;

/** How much a finding matters: `stop` means do not power or use. */
enum Severity: string
{
    case Ok = 'ok';
    case Note = 'note';
    case Check = 'check';
    case Fix = 'fix';
    case Stop = 'stop';
}
