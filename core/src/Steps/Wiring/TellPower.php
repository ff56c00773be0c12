<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The power the last radio is set to. */
final readonly class TellPower implements Intent
{
    /** @param  float|null  $mw  mW, above 0; null: not said. */
    public function __construct(private ?float $mw)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->numberOrNull('mw'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return $this->mw === null
            ? new Deed(RigPatch::of([], ['settings.power_mw']), 'The power set: not said')
            : new Deed(RigPatch::of(['settings.power_mw' => $this->mw]), "The power is set to $this->mw mW");
    }
}
