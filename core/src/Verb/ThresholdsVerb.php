<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\Thresholds;

/** Will the controller arm with these values, and where do its thresholds belong? */
final class ThresholdsVerb implements Verb
{
    public static function name(): string
    {
        return 'thresholds';
    }

    public static function summary(): string
    {
        return 'Suggests low and high threshold and dead band from what a channel really sends, and judges those set.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $thresholds = new Thresholds(
            Reading::fromNode($node, ''),
            $node->number('noise_sigma', 0.0),
            $node->numberOrNull('low_threshold'),
            $node->numberOrNull('high_threshold'),
            $node->numberOrNull('deadband'),
        );

        return (object) [
            'low_threshold' => $thresholds->suggestedLow(),
            'high_threshold' => $thresholds->suggestedHigh(),
            'deadband' => $thresholds->suggestedDeadband(),
            'arms' => $thresholds->arms(),
            'findings' => $thresholds->findings(),
        ];
    }
}
