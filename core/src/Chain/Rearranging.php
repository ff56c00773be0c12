<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\Remap;
use Linguator\Core\Gear\Module;

/** A module in a chain that can rearrange the first four channels, and whether it does. */
final readonly class Rearranging
{
    /**
     * @param  int  $position  Of the module in the chain.
     * @param  Remap|null  $remap  What it does when switched on; null: not known.
     */
    public function __construct(public Module $module, public int $position, public bool $isOn, public ?Remap $remap)
    {
    }

    public function switched(): self
    {
        return new self($this->module, $this->position, ! $this->isOn, $this->remap);
    }

    public function isUnknown(): bool
    {
        return $this->isOn && $this->remap === null;
    }
}
