<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** So many channels must get through. */
final readonly class AskChannels implements Intent
{
    public function __construct(private int $channels)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('channels'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['path.channels' => $this->channels]), "$this->channels channels must get through");
    }
}
