<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Chain\Plan;
use Linguator\Core\Chain\PlanRequest;

/** How do this handset and this craft join, with what is on the shelf? */
final class PlanVerb implements Verb
{
    public static function name(): string
    {
        return 'plan';
    }

    public static function summary(): string
    {
        return 'Finds the best three chains from a handset to a craft over a whole shelf, or the nearest miss.';
    }

    public function __invoke(\stdClass $input): object
    {
        return Plan::of(PlanRequest::fromDocument($input));
    }
}
