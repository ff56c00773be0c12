<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Switching\SwitchLevel;

/** A function on a switch as the switches step shows it. */
final readonly class SwitchRow
{
    /**
     * @param  int  $position  In the rig's list of switches, from 0.
     * @param  string  $handsetSays  What the handset calls this channel.
     * @param  string  $controllerSays  What the controller calls it.
     * @param  string|null  $switch  Null: none is chosen.
     * @param  float  $weight  %.
     * @param  float  $offset  %.
     * @param  list<float>|null  $curve  % by position.
     * @param  int  $powerUp  The position at power-up, from 1.
     * @param  bool  $measured  Its levels were read.
     * @param  list<SwitchLevel>  $levels
     * @param  list<WindowRow>  $windows
     */
    public function __construct(
        public int $position,
        public string $function,
        public int $channel,
        public string $handsetSays,
        public string $controllerSays,
        public ?string $switch,
        public bool $isSlider,
        public bool $spring,
        public float $weight,
        public float $offset,
        public ?array $curve,
        public int $powerUp,
        public bool $measured,
        public array $levels,
        public array $windows,
    ) {
    }

    /** Whether every window has what it should, and nothing else. */
    public function isOk(): bool
    {
        return array_filter($this->windows, static fn (WindowRow $row): bool => ! $row->verdict->ok) === [];
    }
}
