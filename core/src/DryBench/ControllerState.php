<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What the controller makes of the values. */
final readonly class ControllerState
{
    /**
     * @param  list<WindowState>  $windows
     * @param  bool|null  $armed  Null: there is no window for arming, or no threshold is known.
     */
    public function __construct(public array $windows, public ?bool $armed, public ?Refusal $refuses)
    {
    }
}
