<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\PackSetting;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Supply\Pack;

/** What feeds the receiver. */
final readonly class TellCraftPack implements Intent
{
    /** @param  Pack|null  $pack  Null: the craft feeds the receiver itself. */
    public function __construct(private ?Pack $pack)
    {
    }

    public static function read(Node $told): self
    {
        return new self(Pack::orNull($told->node('pack')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return (new PackSetting('settings.craft_pack', 'Pack in the craft', 'The craft feeds the receiver itself'))->told($this->pack);
    }
}
