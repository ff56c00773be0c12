<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The path is to begin at this handset. */
final readonly class AskHandset implements Intent
{
    public function __construct(private string $handset)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('handset'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['path.handset' => $this->handset]), "Handset: {$occasion->shelf->nameOf($this->handset)}");
    }
}
