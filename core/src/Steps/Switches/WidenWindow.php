<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A window is to reach round the levels it should hold, with room. */
final readonly class WidenWindow implements Intent
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
        $widened = (new SwitchReview($rig))->widened($there)
            ?? throw DocumentError::at('channel', "No switch moves channel $there->channel, so nobody can say how wide the window must be.", 'no_switch');
        $windows = Items::of($rig, 'settings.windows')->changed(static fn (Node $item, int $k): bool => $k === $there->position, ['lo' => $widened->lo, 'hi' => $widened->hi]);

        return new Deed($windows->patch(), sprintf('Window %s reaches from %g to %g µs', $there->window->name, $widened->lo, $widened->hi));
    }
}
