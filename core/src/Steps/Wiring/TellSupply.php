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
use Linguator\Core\Supply\Pack;

/** What feeds a box: a pack of its own, a regulator of so many volts, or neither. */
final readonly class TellSupply implements Intent
{
    /** @param  float|null  $volts  Of a regulator; null: there is none. */
    public function __construct(private string $box, private ?Pack $pack, private ?float $volts = null)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('box'), Pack::orNull($told->node('pack')), $told->numberOrNull('volts'));
    }

    /** @throws DocumentError at `box` if it has no supply that could be told, at `volts` if a pack is told too. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $rows = array_filter((new PowerTable($rig))->rows(), fn (PowerRow $row): bool => $row->box === $this->box && $row->isToTell);
        if ($rows === []) {
            throw DocumentError::at('box', 'The box '.Excerpt::of($this->box).' of this rig is fed by another one.', 'no_such_supply');
        }
        if ($this->pack !== null && $this->volts !== null) {
            throw DocumentError::at('volts', 'Expected a pack or a regulator, not both.', 'both');
        }
        $place = "settings.supplies.$this->box";
        $name = $rig->nameOf($this->box);

        return match (true) {
            $this->pack !== null => new Deed(RigPatch::of([$place => (object) ['pack' => $this->pack->document()]]), "$name: its own pack, {$this->pack->label()}"),
            $this->volts !== null => new Deed(RigPatch::of([$place => (object) ['volts' => $this->volts]]), sprintf('%s: a regulator, %g V', $name, $this->volts)),
            default => new Deed(RigPatch::of([], [$place]), "$name: what feeds it is not said"),
        };
    }
}
