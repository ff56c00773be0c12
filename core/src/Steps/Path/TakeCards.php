<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** What was edited on the shelf since this rig took its copy is taken over. */
final readonly class TakeCards implements Intent
{
    /** @param  list<string>  $cards  Ids. */
    public function __construct(private array $cards)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->texts('cards'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $chain = [];
        foreach ($rig->cards as $card) {
            $chain[] = in_array($card->id, $this->cards, true) ? $occasion->shelf->card($card->id) ?? $card->document : $card->document;
        }

        return new Deed(RigPatch::of(['chain' => $chain]), 'Took the edited cards over from the shelf');
    }
}
