<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Which end gives way where travel does not fit. */
final readonly class ChooseSchool implements Intent
{
    public function __construct(private School $school)
    {
    }

    public static function read(Node $told): self
    {
        return new self(School::from($told->text('school')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(['settings.school' => $this->school->value]), $this->school->sentence());
    }
}
