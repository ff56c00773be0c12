<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;
use Linguator\Core\Switching\Window;

/** A window of the controller as a rig has it written down. */
final readonly class WindowSetting
{
    /**
     * @param  int  $position  Its place in the rig's list, from 0.
     * @param  int  $channel  As the controller counts.
     */
    public function __construct(public int $position, public int $channel, public Window $window)
    {
    }

    public static function fromNode(Node $entry, int $position): self
    {
        $wanted = array_map(intval(...), $entry->numbersOrNull('wanted') ?? []);

        return new self($position, $entry->int('channel'), new Window($entry->text('name'), $entry->number('lo'), $entry->number('hi'), $wanted));
    }
}
