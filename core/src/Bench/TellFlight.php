<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** That the craft flew, or ran, and what there was to say of it. It proves nothing: a flight that went well is no check. */
final readonly class TellFlight implements Intent
{
    public function __construct(private string $text)
    {
    }

    public static function read(Node $told): self
    {
        return new self(trim($told->textOrNull('text') ?? ''));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $went = $rig->kind()->runsOnTheGround() ? 'Run' : 'Flown';

        return new Deed(RigPatch::of([]), $this->text === '' ? "$went; nothing to note." : "$went: $this->text", EntryKind::Flight);
    }
}
