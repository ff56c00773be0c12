<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Gear\HandsetSwitch;

/** What the switches step shows. */
final readonly class SwitchesView
{
    /**
     * @param  list<SwitchRow>  $rows
     * @param  list<string>  $unassigned  Functions without a switch.
     * @param  list<string>  $couldRide  Functions of servos that count as moved by a stick until a switch is told.
     * @param  list<HandsetSwitch>  $handsetSwitches
     * @param  Findings  $findings  Of the channels.
     * @param  Proposal|null  $proposal  Null: nothing is wrong, or nothing fits.
     * @param  list<LooseWindow>  $looseWindows
     * @param  list<RateRow>  $rates
     * @param  int|null  $nextFree  The channel on which another function would ride.
     */
    public function __construct(
        public array $rows,
        public array $unassigned,
        public array $couldRide,
        public array $handsetSwitches,
        public Findings $findings,
        public ?Proposal $proposal,
        public array $looseWindows,
        public array $rates,
        public ?string $controller,
        public HandsetScale $scale,
        public ?int $nextFree,
    ) {
    }
}
