<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\WindowSetting;

/** Which window is meant: by its name and channel; of several alike the one at this place. */
final readonly class NamedWindow
{
    /** @param  int  $position  Its place in the rig's list when the screen was drawn, from 0. */
    public function __construct(private string $name, private int $channel, private int $position)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('window'), $told->int('channel'), $told->int('position'));
    }

    /** @throws DocumentError if there is none. */
    public function in(RigDocument $rig): WindowSetting
    {
        $alike = array_filter($rig->windows(), fn (WindowSetting $window): bool => $window->window->name === $this->name && $window->channel === $this->channel);
        $first = reset($alike);
        if ($first === false) {
            throw DocumentError::at('window', 'There is no window '.Excerpt::of($this->name)." on channel $this->channel any more.", 'no_such_window');
        }

        return $alike[$this->position] ?? $first;
    }
}
