<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The plugs go by what is printed on the pins again. */
final readonly class PlugByLabels implements Intent
{
    public static function read(Node $told): self
    {
        return new self;
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of([], ['settings.plugs']), 'Plugs go by the labels again');
    }
}
