<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** Settings that live in the handset's memory: rigs that are flown from the same memory share them. */
final class MemorySettings
{
    private const PLACES = ['settings.order', 'settings.channels', 'settings.switches', 'settings.stick_mode'];

    /**
     * What a change means for another rig of the same memory; it may be nothing.
     *
     * @param  \stdClass  $document  The rig that was changed, afterwards.
     */
    public static function shared(EntryChange $change, \stdClass $document): RigPatch
    {
        $touched = array_intersect(self::PLACES, $change->places());
        $there = array_filter($touched, static fn (string $place): bool => RigPatch::has($document, $place));
        $set = [];
        foreach ($there as $place) {
            $set[$place] = RigPatch::get($document, $place);
        }

        return RigPatch::of($set, array_values(array_diff($touched, $there)));
    }
}
