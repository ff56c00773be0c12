<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Sticks that were told on other channels than the handset's order sends them on are put where the order has them. */
final readonly class FollowOrder implements Intent
{
    public static function read(Node $told): self
    {
        return new self;
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        [$functions, $order] = [$rig->functions(), $rig->handsetOrder()];
        if ($functions === null || $order === null || $functions->against($order) === []) {
            throw DocumentError::at('', 'The functions are where the order has them already, or one of the two is not known.', 'nothing_to_do');
        }

        return new Deed(RigPatch::of(['craft.functions' => $functions->following($order)->jsonSerialize()]), "Functions put where the order {$order->toString()} has them");
    }
}
