<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Switching\StickCurve;

/** What do a rate and an expo make of a stick? */
final class RatesVerb implements Verb
{
    public static function name(): string
    {
        return 'rates';
    }

    public static function summary(): string
    {
        return 'The curve, the throw at full stick and the gain at the centre for a rate and an expo.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $scale = new Scale($node->number('centre', Pulse::CENTRE_US), $node->number('us_per_100'));
        $curve = new StickCurve($node->number('rate_pct') / 100, $node->number('expo_pct') / 100);

        return (object) [
            'throw_us' => $curve->throwUs($scale),
            'full_us' => $scale->centre + $curve->throwUs($scale),
            'centre_gain' => $curve->centreGain(),
            'curve' => $curve->points($scale),
        ];
    }
}
