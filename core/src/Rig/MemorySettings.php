<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** Settings that live in the handset's memory: rigs that are flown from the same memory share them. */
final class MemorySettings
{
    private const PLACES = ['settings.order', 'settings.channels', 'settings.switches', 'settings.stick_mode'];

    /** What a change means for another rig of the same memory; it may be nothing. Before and after as `RigPatch::apply` gives them. */
    public static function shared(\stdClass $before, \stdClass $after): RigPatch
    {
        $set = [];
        $clear = [];
        foreach (self::PLACES as $place) {
            if (property_exists($after, $place)) {
                $set[$place] = $after->{$place};
            } elseif (property_exists($before, $place)) {
                $clear[] = $place;
            }
        }

        return RigPatch::of($set, $clear);
    }
}
