<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Handset;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Which memory of the handset this rig is in. */
final readonly class TellMemory implements Intent
{
    public function __construct(private string $memory)
    {
    }

    public static function read(Node $told): self
    {
        return new self(trim($told->text('memory')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        if ($this->memory === '') {
            return new Deed(RigPatch::of([], ['settings.memory']), 'Model memory not said');
        }
        // A number is a number; 00 is a name.
        $isNumber = preg_match('/^(0|[1-9]\d{0,8})$/D', $this->memory) === 1;

        return new Deed(RigPatch::of(['settings.memory' => $isNumber ? (int) $this->memory : $this->memory]), "Model memory: $this->memory");
    }
}
