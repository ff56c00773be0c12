<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;

/** What keeps two boxes apart. */
final readonly class Apart
{
    /** @param  string  $from  Ids. */
    public function __construct(public string $from, public string $to, public Code $code)
    {
    }
}
