<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** Something open that somebody has left as it is: for a reason, by name, and only as it stood then. */
final readonly class LeftAsIs
{
    /** @param  string  $was  The sentence that was left: another one is something else, and open. */
    private function __construct(public string $was, public string $reason, public string $by, public string $at)
    {
    }

    /** @param  string  $what  Its place, like `travel/3`. */
    public static function of(RigDocument $rig, string $what): ?self
    {
        $kept = $rig->settings()->node('left')?->node($what);

        return $kept === null ? null : new self($kept->text('was'), $kept->text('reason'), $kept->text('by'), $kept->text('at'));
    }
}
