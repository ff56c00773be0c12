<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\PackSetting;
use Linguator\Core\Rig\RigDocument;
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
        return new self(Pack::orNull($told->node('pack')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return (new PackSetting('settings.pack', 'Handset pack', "Handset pack as on the handset's card"))->told($this->pack);
    }
}
