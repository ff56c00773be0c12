<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** What becomes of an intent: the change to the rig's document, and the sentence its history tells. */
final readonly class Deed
{
    public function __construct(public RigPatch $patch, public string $sentence, public EntryKind $kind = EntryKind::Change)
    {
    }
}
