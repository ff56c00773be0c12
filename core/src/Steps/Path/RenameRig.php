<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The craft gets another name; its address stays. */
final readonly class RenameRig implements Intent
{
    public function __construct(private string $name)
    {
    }

    public static function read(Node $told): self
    {
        return new self(trim($told->text('name')));
    }

    /** @throws DocumentError at `name` if nothing is left of it. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        if ($this->name === '') {
            throw DocumentError::at('name', 'Expected a name, found none.', 'no_name');
        }

        return new Deed(RigPatch::of(['name' => $this->name]), "{$rig->name()} is called $this->name");
    }
}
