<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Quantity\Steps;

/** What is the same throw called on another handset? */
final class PercentVerb implements Verb
{
    public static function name(): string
    {
        return 'percent';
    }

    public static function summary(): string
    {
        return "Translates a percentage from one handset's scale to another's, without measuring.";
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $centre = $node->number('centre', Pulse::CENTRE_US);
        $from = new Scale($centre, $node->number('from_us_per_100'));
        $percent = $node->number('percent');

        return (object) [
            'percent' => Steps::clean($from->translated($percent, new Scale($centre, $node->number('to_us_per_100')))),
            'us' => Steps::clean($from->us($percent)),
        ];
    }
}
