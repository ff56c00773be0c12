<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Supply\Pack;

/** Which pack is in the handset. */
final readonly class TellHandsetPack implements Intent
{
    /** @param  Pack|null  $pack  Null: handset pack as on the handset's card. */
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
            ? new Deed(RigPatch::of([], ['settings.pack']), "Handset pack as on the handset's card")
            : new Deed(RigPatch::of(['settings.pack' => $this->pack->document()]), "Handset pack: {$this->pack->label()}");
    }
}
