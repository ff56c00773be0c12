<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\MovementAnalysis;
use Linguator\Core\Document\Node;

/** Which channel moved when a stick was moved? */
final class MovementVerb implements Verb
{
    public static function name(): string
    {
        return 'movement';
    }

    public static function summary(): string
    {
        return 'Deduces order, reversals, rest and ends from a log of channel values while sticks were moved one by one.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $analysis = new MovementAnalysis(
            ChannelLog::fromNodes($node->nodes('log')),
            array_map(Letter::from(...), $node->texts('sequence')),
            $node->has('expect') ? ChannelOrder::of($node->text('expect')) : null,
        );

        return $analysis->answer();
    }
}
