<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Where the receiver's antenna sits in the craft. */
final readonly class TellAntenna implements Intent
{
    public function __construct(private string $antenna)
    {
    }

    public static function read(Node $told): self
    {
        return new self(trim($told->text('antenna')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return $this->antenna === ''
            ? new Deed(RigPatch::of([], ['settings.antenna']), 'Where the antenna sits: not said')
            : new Deed(RigPatch::of(['settings.antenna' => $this->antenna]), "The antenna sits: $this->antenna");
    }
}
