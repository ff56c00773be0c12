<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

/** Where a link is cut in a test: what sends is switched off, or the lead that feeds a module is pulled with the handset on. */
enum Cut: string
{
    case Link = 'link';
    case Lead = 'lead';
}
