<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Switching\Window;

/** How the controls stand when somebody arms: throttle down, the switch in the first position that the window wants; else in its last. */
final class Armed
{
    /** Null: no switch of this rig arms through a window. */
    public static function of(Circuit $circuit): ?Controls
    {
        $window = $circuit->rig()->window(Window::ARM);
        $switch = $window === null ? null : (new Craft($circuit->run(Controls::resting())))->switchOn($window->channel)?->switch;

        return $window === null || $switch === null ? null : Controls::resting()->switched($switch->id, $window->window->wanted[0] ?? $switch->positions ?? 1);
    }
}
