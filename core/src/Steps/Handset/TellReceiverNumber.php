<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Handset;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** By which receiver number this craft is known. */
final readonly class TellReceiverNumber implements Intent
{
    public function __construct(private ?int $number)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->intOrNull('number'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return $this->number === null
            ? new Deed(RigPatch::of([], ['settings.receiver_number']), 'Receiver number not said')
            : new Deed(RigPatch::of(['settings.receiver_number' => $this->number]), "Receiver number: $this->number");
    }
}
