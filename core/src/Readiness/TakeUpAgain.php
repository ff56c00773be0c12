<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\LeftAsIs;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** What was left as it is, is open again. */
final readonly class TakeUpAgain implements Intent
{
    public function __construct(private string $what)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('what'));
    }

    /** @throws DocumentError if it was not left. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $left = LeftAsIs::of($rig, $this->what) ?? throw DocumentError::at('what', 'Nothing called '.Excerpt::of($this->what).' was left as it is.', 'no_such_item');

        return new Deed(RigPatch::of([], ["settings.left.$this->what"]), 'Taken up again: '.$left->was);
    }
}
