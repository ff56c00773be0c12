<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Rig\RigReader;

/** What does the craft do when a link is lost? */
final class FailsafeVerb implements Verb
{
    public static function name(): string
    {
        return 'failsafe';
    }

    public static function summary(): string
    {
        return 'For each hop of a rig what happens when its link is lost, what must be mended, and what is recommended.';
    }

    public function __invoke(\stdClass $input): object
    {
        $rig = RigReader::whole($input->rig, 'rig');
        if ($rig->boxes->hops() === []) {
            throw DocumentError::at('rig.chain', 'Found a chain without a receiver; expected at least one: without a link there is none to lose.', 'no_receiver');
        }
        foreach ($rig->settings()->nodes('channels') as $k => $channel) {
            $ends = $channel->numbersOrNull('ends_us');
            if ($ends !== null && ! ($ends[0] < $ends[1] && $ends[1] < $ends[2])) {
                throw DocumentError::at("rig.settings.channels.$k.ends_us", 'Found '.implode(', ', $ends).'; expected lowest, middle and highest value in this order.', 'upside_down');
            }
        }

        return (new FailsafeReview($rig))->answer();
    }
}
