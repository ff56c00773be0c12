<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Linguator\Core\Bench\Duplicate;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;

/** Puts a second rig, made from a first, onto the bench. */
final readonly class DuplicateRig
{
    public function __construct(private RigReader $reader, private ImportRig $import, private Shelf $shelf)
    {
    }

    /** @throws DocumentError if the receiver that is to stand in the last one's place is not on the shelf, or the chain has none. */
    public function __invoke(Rig $rig, Duplicate $duplicate): Rig
    {
        $document = $duplicate->of(RigDocument::of($rig->plain()), new Occasion(Moment::now(), $this->shelf));
        $document->uid = ImportRig::newUid();

        return ($this->import)($this->reader->fromDocument($document));
    }
}
