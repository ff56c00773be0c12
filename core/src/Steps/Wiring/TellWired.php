<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Order\OrderReview;

/** All of it is wired as in the table, or is not after all. */
final readonly class TellWired implements Intent
{
    public function __construct(private bool $wired)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->flag('wired'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $place = 'settings.done.'.implode('/', WiringReview::DONE);

        return $this->wired
            ? new Deed(RigPatch::of([$place => (new WiringReview($rig, new OrderReview($rig)))->fingerprint()]), 'Wired as in the table')
            : new Deed(RigPatch::of([], [$place]), 'Not wired after all');
    }
}
