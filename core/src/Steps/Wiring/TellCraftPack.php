<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
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
        $pack = $told->node('pack');

        return new self($pack === null ? null : Pack::fromNode($pack));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return $this->pack === null
            ? new Deed(RigPatch::of([], ['settings.craft_pack']), 'The craft feeds the receiver itself')
            : new Deed(RigPatch::of(['settings.craft_pack' => $this->pack->document()]), "Pack in the craft: {$this->pack->label()}");
    }
}
