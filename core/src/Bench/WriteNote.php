<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Something to remember that changes no setting. */
final readonly class WriteNote implements Intent
{
    public function __construct(private string $text)
    {
    }

    public static function read(Node $told): self
    {
        return new self(trim($told->text('text')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        if ($this->text === '') {
            throw DocumentError::at('text', 'Found an empty note.', 'empty');
        }

        return new Deed(RigPatch::of([]), $this->text, EntryKind::Note);
    }
}
