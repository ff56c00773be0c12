<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** What a search for a fault came to: kept in the history, no setting is changed. */
final readonly class FoundFault implements Intent
{
    public function __construct(private string $cause)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('cause'));
    }

    /** @throws DocumentError at `cause` if there is no such cause. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $remedy = Knowledge::shipped()->remedy($this->cause) ?? throw DocumentError::at('cause', 'There is no cause '.Excerpt::of($this->cause).'.', 'no_such_cause');

        return new Deed(RigPatch::of([]), "Fault found: $remedy->says Mend: $remedy->fix", EntryKind::Note);
    }
}
