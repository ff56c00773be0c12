<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Handset;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Where the four main controls sit. */
final readonly class TellStickMode implements Intent
{
    public function __construct(private ?int $mode)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->intOrNull('mode'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return $this->mode === null
            ? new Deed(RigPatch::of([], ['settings.stick_mode']), 'Stick mode as on the card')
            : new Deed(RigPatch::of(['settings.stick_mode' => $this->mode]), "Stick mode $this->mode");
    }
}
