<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

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

    public function __invoke(\stdClass $input): array
    {
        return (new FailsafeReview(RigReader::whole($input->rig, 'rig')))->toArray();
    }
}
