<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/**
 * One thing a person can mean to do with a rig, said as they would say it: "aileron rides on channel 1".
 *
 * It is made of what was told, and becomes a change to the document of a rig as it is at that moment: so lists are changed item by
 * item, whatever the screen still shows. Adding one is adding its class, what it is told in `schema/intents.schema.json`, and a
 * line in `Bench\Intents`.
 */
interface Intent
{
    /** @param  Node  $told  What has passed the schema of this intent. */
    public static function read(Node $told): self;

    /** @throws DocumentError if the rig has not what is spoken of, at the key where it is named. */
    public function on(RigDocument $rig, Occasion $occasion): Deed;
}
