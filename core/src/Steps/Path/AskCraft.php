<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The path is to end in this craft. */
final readonly class AskCraft implements Intent
{
    public function __construct(private string $craft)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('craft'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['path.craft' => $this->craft]), "Craft: {$occasion->shelf->nameOf($this->craft)}");
    }
}
