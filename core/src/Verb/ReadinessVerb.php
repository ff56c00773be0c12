<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Plain;
use Linguator\Core\Readiness\ReadinessReview;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Readiness\Verdict;
use Linguator\Core\Rig\RigReader;

/** Is this rig ready, and what must be redone? */
final class ReadinessVerb implements Verb
{
    public static function name(): string
    {
        return 'readiness';
    }

    public static function summary(): string
    {
        return 'Which checks of a rig hold, which went stale and why, and what to redo in which order.';
    }

    public function __invoke(\stdClass $input): object
    {
        $reviews = new Reviews(RigReader::whole($input->rig, 'rig'));
        $readiness = new ReadinessReview($reviews);

        return (object) (['verdict' => (new Verdict($reviews, $readiness))->next] + Plain::object($readiness->shown()));
    }
}
