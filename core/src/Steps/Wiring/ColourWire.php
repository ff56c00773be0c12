<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Order\OrderReview;

/** A wire has this colour, in the user's words. */
final readonly class ColourWire implements Intent
{
    public function __construct(private string $row, private string $wire, private string $colour)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('row'), $told->text('wire'), trim($told->text('colour')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $order = new OrderReview($rig);
        $row = (new WiringReview($rig, $order))->row($this->row) ?? throw DocumentError::at('row', 'There is no wire '.Excerpt::of($this->row).' in this rig.', 'no_such_wire');
        $place = "settings.colours.$row->key";
        $colours = array_filter([$this->wire => $this->colour] + get_object_vars($row->colours), static fn (mixed $colour): bool => $colour !== '');
        $sentence = "Wire {$rig->nameOf($row->from)}, $row->fromPin: $this->wire is ".($this->colour === '' ? 'not said' : $this->colour);

        return new Deed($colours === [] ? RigPatch::of([], [$place]) : RigPatch::of([$place => (object) $colours]), $sentence);
    }
}
