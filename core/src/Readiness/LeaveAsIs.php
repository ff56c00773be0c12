<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Proof\Witness;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Somebody leaves something open as it is, for a reason. What must not be powered or used cannot be left, nor a check that nobody made. */
final readonly class LeaveAsIs implements Intent
{
    /** @param  string  $what  Its place, like `travel/3`. */
    public function __construct(private string $what, private string $reason, private string $by)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('what'), trim($told->text('reason')), trim($told->text('by')));
    }

    /** @throws DocumentError if nothing like it is open, or no reason or nobody is named. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $leftover = (new Reviews($rig))->leftovers()->open()->find($this->what)
            ?? throw DocumentError::at('what', 'Nothing open is called '.Excerpt::of($this->what).'; it may have been done meanwhile.', 'no_such_item');
        if ($this->reason === '') {
            throw DocumentError::at('reason', 'No reason is told; expected why it may stay as it is.', 'missing_reason');
        }
        Witness::mustBeNamed($this->by, 'who leaves it as it is');
        $left = (object) ['was' => $leftover->sentence, 'reason' => $this->reason, 'by' => $this->by, 'at' => $occasion->at];

        return new Deed(RigPatch::of(["settings.left.$this->what" => $left]), "Left as it is by $this->by: ".rtrim($leftover->sentence, '.')." ($this->reason)");
    }
}
