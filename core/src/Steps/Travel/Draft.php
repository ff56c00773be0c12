<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Rig\ReadingTaken;

/** A reading that is being typed, or one that is to be turned round: not kept yet. */
final readonly class Draft
{
    public function __construct(public ReadingTaken $taken, public bool $reverse)
    {
    }
}
