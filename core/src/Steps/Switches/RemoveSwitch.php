<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A function is off its switch. */
final readonly class RemoveSwitch implements Intent
{
    public function __construct(private string $function)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('function'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $switches = Items::of($rig, 'settings.switches')->without(fn (Node $item): bool => $item->text('function') === $this->function);

        return new Deed($switches->patch(), "$this->function is off its switch");
    }
}
