<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;

/** A switch, slider or knob of a handset, by the name printed beside it. */
final readonly class HandsetSwitch
{
    /** @param  int|null  $positions  Null: a slider or knob. */
    public function __construct(public string $id, public ?int $positions, public bool $spring)
    {
    }

    public static function fromNode(Node $switch): self
    {
        return new self($switch->text('id'), $switch->intOrNull('positions'), $switch->flag('spring'));
    }

    public function isSlider(): bool
    {
        return $this->positions === null;
    }
}
