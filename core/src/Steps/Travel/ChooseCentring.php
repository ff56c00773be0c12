<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Where a centre that is off is mended. */
final readonly class ChooseCentring implements Intent
{
    public function __construct(private Centring $centring)
    {
    }

    public static function read(Node $told): self
    {
        return new self(Centring::from($told->text('centring')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['settings.centring' => $this->centring->value]), $this->centring->sentence());
    }
}
