<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;

/** Carries out what a person means to do with a rig. */
final readonly class DoToRig
{
    public function __construct(private ChangeRig $change, private Shelf $shelf)
    {
    }

    /**
     * @param  int  $revision  The revision the person has seen.
     * @param  string|null  $once  A name of this telling: told again by the same one it is not done again.
     *
     * @throws Conflict if the rig has been changed since.
     * @throws DocumentError if the rig has not what is spoken of, or would not be sound afterwards.
     */
    public function __invoke(Rig $rig, int $revision, Intent $intent, ?string $once = null): Rig
    {
        if ($once !== null && $rig->hasTaken($once)) {
            // It may have been taken since this one was read.
            return $rig->refresh();
        }
        $deed = $intent->on($rig->rig(), new Occasion(Moment::now(), $this->shelf));

        return ($this->change)($rig, $revision, $deed->patch, $deed->sentence, $deed->kind, once: $once);
    }
}
