<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\Supply\Antenna;
use Linguator\Core\Supply\LinkBudget;

/** How far does this link reach, and what does a range check at reduced power stand for? */
final class RangeVerb implements Verb
{
    public static function name(): string
    {
        return 'range';
    }

    public static function summary(): string
    {
        return 'Path loss, margin and reach of a link in free space, and the meaning of a range check.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $margin = $node->number('margin_db', LinkBudget::USUAL_MARGIN_DB);
        $f = $node->number('f_mhz');
        $budget = $node->number('power_dbm') + $node->number('tx_gain_dbi', 0.0) + $node->number('rx_gain_dbi', 0.0) - $node->number('sensitivity_dbm');
        $link = new LinkBudget($f, $budget, $margin);
        $distance = $node->numberOrNull('distance_m');
        $check = $node->node('check');

        return (object) [
            'path_loss_db' => $distance === null ? null : $link->pathLossDb($distance),
            'margin_db' => $distance === null ? null : $link->marginAt($distance),
            'reach_m' => $link->reachM(),
            'check_stands_for_m' => $check === null ? null : LinkBudget::checkStandsForM($check->number('distance_m'), $check->number('reduced_by_db'), $margin),
            'quarter_wave_mm' => Antenna::quarterWaveMm($f),
        ];
    }
}
