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

/** A window of the controller reaches from here to there; an edge that is not named stays. µs. */
final readonly class SetWindow implements Intent
{
    public function __construct(private NamedWindow $window, private ?float $lo, private ?float $hi)
    {
    }

    public static function read(Node $told): self
    {
        return new self(NamedWindow::read($told), $told->numberOrNull('lo'), $told->numberOrNull('hi'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $there = $this->window->in($rig);
        [$lo, $hi] = [$this->lo ?? $there->window->lo, $this->hi ?? $there->window->hi];
        if ($lo >= $hi) {
            throw DocumentError::at($this->hi === null ? 'lo' : 'hi', sprintf('Found a window from %g to %g µs; expected the lower edge below the upper.', $lo, $hi), 'upside_down');
        }
        $windows = Items::of($rig, 'settings.windows')->changed(static fn (Node $item, int $k): bool => $k === $there->position, ['lo' => $lo, 'hi' => $hi]);
        $words = match (true) {
            $this->hi === null => sprintf('from %g µs', $lo),
            $this->lo === null => sprintf('to %g µs', $hi),
            default => sprintf('from %g to %g µs', $lo, $hi),
        };

        return new Deed($windows->patch(), "Window {$there->window->name}: $words");
    }
}
