<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A window should hold this position of its switch, or should not. */
final readonly class WantPosition implements Intent
{
    /** @param  int  $position  From 1. */
    public function __construct(private NamedWindow $window, private int $position, private bool $wanted)
    {
    }

    public static function read(Node $told): self
    {
        return new self(NamedWindow::read($told), $told->int('holds'), $told->flag('wanted'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $there = $this->window->in($rig);
        $others = array_filter($there->window->wanted, fn (int $position): bool => $position !== $this->position);
        $wanted = array_values($this->wanted ? [...$others, $this->position] : $others);
        sort($wanted);
        $windows = Items::of($rig, 'settings.windows')->changed(static fn (Node $item, int $k): bool => $k === $there->position, ['wanted' => $wanted]);

        return new Deed($windows->patch(), "Window {$there->window->name}: position ".($wanted === [] ? 'none' : implode(', ', $wanted)));
    }
}
