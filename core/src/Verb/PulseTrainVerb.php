<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Timing\PulseTrain;

/** Does a pulse train leave room for its gap, and what would mend it? */
final class PulseTrainVerb implements Verb
{
    public static function name(): string
    {
        return 'pulse-train';
    }

    public static function summary(): string
    {
        return 'Judges the gap of a pulse train and gives every remedy with its numbers.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $channels = max(1, $node->int('channels'));
        $used = $node->intOrNull('used') ?? $channels;
        [$min, $max] = [$node->number('min_us'), $node->number('max_us')];
        if ($used > $channels) {
            throw DocumentError::at('used', "Found $used used channels; expected at most the $channels there are.", 'too_many');
        }
        if ($max <= $min) {
            throw DocumentError::at('max_us', "Found a longest channel of $max µs and a shortest of $min µs; expected the longest above the shortest.", 'upside_down');
        }

        return (new PulseTrain(
            $node->number('frame_us'), $channels, $min, $max, $used,
            $used < $channels ? $node->numberOrNull('hold_unused_at') : null,
            $node->number('sync_detect_us', PulseTrain::USUAL_DETECT_US),
        ))->budget();
    }
}
