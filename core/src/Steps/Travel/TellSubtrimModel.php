<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Travel\SubtrimModel;

/** What two readings have told of the sub-trim goes onto this rig's copy of the handset's card. */
final readonly class TellSubtrimModel implements Intent
{
    public function __construct(private SubtrimModel $model)
    {
    }

    public static function read(Node $told): self
    {
        return new self(SubtrimModel::from($told->text('model')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $chain = $rig->node()->items('chain');
        $handset = $chain[0] ?? null;
        if (! $handset instanceof \stdClass || $rig->boxes->handset() === null) {
            throw DocumentError::at('model', 'There is no handset in this chain yet.', 'no_handset');
        }
        $chain[0] = clone $handset;
        $chain[0]->scale = ($handset->scale ?? null) instanceof \stdClass ? clone $handset->scale : new \stdClass;
        $chain[0]->scale->subtrim_model = $this->model->value;

        return new Deed(RigPatch::of(['chain' => $chain]), "The sub-trim of this handset {$this->model->label()}");
    }
}
