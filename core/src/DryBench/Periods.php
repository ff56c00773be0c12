<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Document\Node;

/** Frame periods as links have them recorded, ms. */
final class Periods
{
    /** @param  Node  $set  Settings of a link; null: none is recorded. */
    public static function recorded(Node $set): ?float
    {
        foreach (['frame_ms', 'rate', 'period_ms'] as $key) {
            $period = $set->numberOrNull($key);
            if ($period !== null) {
                return $period;
            }
        }

        return null;
    }
}
