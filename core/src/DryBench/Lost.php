<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\RigDocument;

/** Which links of a rig are down. */
final class Lost
{
    /**
     * @param  Node  $told  With `link`.
     * @return list<int> Hops, from 1.
     *
     * @throws DocumentError at a hop that this rig has not.
     */
    public static function fromNode(Node $told, RigDocument $rig): array
    {
        $lost = array_map(intval(...), $told->node('link')?->numbersOrNull('lost') ?? []);
        $hops = count($rig->boxes->hops());
        foreach ($lost as $k => $hop) {
            if ($hop > $hops) {
                throw DocumentError::at("link.lost.$k", "Found hop $hop; this rig has $hops.", 'no_such_hop');
            }
        }

        return array_values(array_unique($lost));
    }
}
