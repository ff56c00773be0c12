<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** The controller has this window no more. */
final readonly class RemoveWindow implements Intent
{
    public function __construct(private NamedWindow $window)
    {
    }

    public static function read(Node $told): self
    {
        return new self(NamedWindow::read($told));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $there = $this->window->in($rig);
        $windows = Items::of($rig, 'settings.windows')->without(static fn (Node $item, int $k): bool => $k === $there->position);

        return new Deed($windows->patch(), "Window {$there->window->name} removed");
    }
}
