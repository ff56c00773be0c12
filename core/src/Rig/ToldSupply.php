<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Supply\Pack;
use Linguator\Core\Supply\Supply;

/** What somebody says feeds a box: a pack of its own, or a regulator's fixed voltage. */
final readonly class ToldSupply
{
    private function __construct(public string $label, public Supply $supply)
    {
    }

    /** Null: nothing is told of this box. */
    public static function of(RigDocument $rig, string $box): ?self
    {
        $told = $rig->settings()->node('supplies')?->node($box);
        $pack = Pack::orNull($told?->node('pack'));
        $volts = $told?->numberOrNull('volts');

        return match (true) {
            $pack !== null => new self("its own pack, {$pack->label()}", $pack->supply()),
            $volts !== null => new self(sprintf('a regulator, %g V', $volts), Supply::fixed($volts)),
            default => null,
        };
    }
}
