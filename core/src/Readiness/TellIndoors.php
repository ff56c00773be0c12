<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Whether it stays within one room: then no range check is needed. */
final readonly class TellIndoors implements Intent
{
    public function __construct(private bool $indoors)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->flag('indoors'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['craft.indoors' => $this->indoors]), $this->indoors ? 'It stays within one room: no range check' : 'It leaves the room: range check needed');
    }
}
