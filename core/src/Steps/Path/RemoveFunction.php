<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A function no longer rides on any channel. */
final readonly class RemoveFunction implements Intent
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
        $functions = Items::of($rig, 'craft.functions')->without(fn (Node $item): bool => $item->text('function') === $this->function);

        return new Deed($functions->patch(), "$this->function no longer has a channel");
    }
}
