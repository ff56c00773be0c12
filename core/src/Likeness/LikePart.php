<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Rig\RigPatch;

/** A part of a set-up that can be taken over from another rig. */
interface LikePart
{
    public function title(): string;

    /** @return list<LikeLine> What differs, and can be taken over. */
    public function lines(): array;

    /** @return list<string> What the other rig has and this one cannot take, with why. */
    public function leftOut(): array;

    /** @param  list<string>  $keys  Of the lines to take. */
    public function taking(array $keys): RigPatch;
}
