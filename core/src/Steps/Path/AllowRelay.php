<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Whether a relay may stand between. */
final readonly class AllowRelay implements Intent
{
    public function __construct(private bool $allowed)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->flag('allowed'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['path.allow_relay' => $this->allowed]), $this->allowed ? 'A relay is allowed' : 'No relay');
    }
}
