<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

/** By what two neighbours are joined. */
enum CouplingKind: string
{
    case Air = 'air';
    case Wire = 'wire';
}
