<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigTrain;

/** The channels of a pulse train that carry nothing are held at their lowest, so that its gap stays long; or are not after all. */
final readonly class HoldUnused implements Intent
{
    /** @param  string  $box  Id of the box that sends the train. */
    public function __construct(private string $box, private bool $held)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('box'), $told->flag('held'));
    }

    /** @throws DocumentError at `box` if it sends no train, or every channel is used. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        foreach ($rig->chain()->joints() as $joint) {
            $train = $joint->from->id() === $this->box ? RigTrain::of($rig, $joint) : null;
            if ($train !== null) {
                return $this->deed($train);
            }
        }

        throw DocumentError::at('box', 'No pulse train leaves a box '.Excerpt::of($this->box).' of this rig.', 'no_such_train');
    }

    private function deed(RigTrain $train): Deed
    {
        $name = $train->joint->from->name();
        if (! $this->held) {
            return new Deed(RigPatch::of([], ["settings.held.$this->box"]), "$name: unused channels not held after all");
        }
        $at = $train->train->held()->heldAt ?? throw DocumentError::at('box', "Every channel of the train from $name is used; expected at least one to be held.", 'all_used');

        return new Deed(RigPatch::of(["settings.held.$this->box" => true]), sprintf('%s: the %d channels that carry nothing are held at %g µs', $name, $train->channels - $train->used, $at));
    }
}
