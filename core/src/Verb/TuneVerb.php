<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\TravelSolver;

/** Which end points and sub-trim bring each channel to its target? */
final class TuneVerb implements Verb
{
    public static function name(): string
    {
        return 'tune';
    }

    public static function summary(): string
    {
        return 'From three readings per channel to the end points and sub-trim that meet the target, in one pass.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        [$handsetNode, $targetNode] = [$node->node('handset'), $node->node('target')];
        assert($handsetNode !== null && $targetNode !== null);
        $handset = HandsetTravel::fromNode($handsetNode);
        $target = Reading::fromNode($targetNode, 'target');
        $solver = new TravelSolver($handset);
        $channels = [];
        foreach ($node->nodes('channels') as $k => $channel) {
            [$settingsNode, $measured] = [$channel->node('settings'), $channel->node('measured')];
            assert($settingsNode !== null && $measured !== null);
            $settings = ChannelSettings::fromNode($settingsNode);
            $gimbal = Gimbal::seen($handset, Reading::fromNode($measured, "channels.$k.measured"), $settings, "channels.$k");
            $channels[] = ['name' => $channel->text('name')]
                + Plain::object($solver->solve($gimbal, $target, $settings, $channel->flag('centre', true), $channel->flag('reverse')));
        }

        return (object) ['channels' => $channels];
    }
}
