<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/** A capture is kept with the history, for what it says; it changes no setting. */
final readonly class KeepCapturedValues implements Intent
{
    public function __construct(private string $sentence)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('sentence'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of([]), $this->sentence, EntryKind::Measurement);
    }
}
