<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Rig\RigReader;
use Linguator\Core\Rig\RigReview;

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

    public function __invoke(\stdClass $input): array
    {
        return (new RigReview(RigReader::whole($input->rig, 'rig')))->readiness()->toArray();
    }
}
