<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Handset;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** A line of the handset's checklist is done, or is not after all. */
final readonly class TickHandset implements Intent
{
    public function __construct(private string $item, private bool $done)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('item'), $told->flag('done'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $items = array_column((new HandsetReview($rig))->items(), null, 'key');
        $item = $items[$this->item] ?? throw DocumentError::at('item', 'There is no line '.Excerpt::of($this->item).' in this checklist.', 'no_such_item');
        $place = 'settings.done.'.HandsetReview::BOX."/$item->key";
        $words = lcfirst($item->title);

        return $this->done ? new Deed(RigPatch::of([$place => true]), "Handset ready: $words") : new Deed(RigPatch::of([], [$place]), "Not done after all: $words");
    }
}
