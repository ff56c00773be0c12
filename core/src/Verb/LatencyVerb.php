<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\Timing\LatencyBudget;
use Linguator\Core\Timing\LatencyStage;

/** How long does a stick movement take, and which stage costs most? */
final class LatencyVerb implements Verb
{
    public static function name(): string
    {
        return 'latency';
    }

    public static function summary(): string
    {
        return 'Best, mean, 95th percentile and worst delay through stages, with the share of each.';
    }

    public function __invoke(\stdClass $input): object
    {
        $budget = new LatencyBudget(array_map(static fn (Node $stage): LatencyStage => new LatencyStage(
            $stage->text('name'),
            $stage->number('period_ms'),
            $stage->number('transit_ms'),
            $stage->intOrNull('phases') ?? 1,
            $stage->flag('synchronous'),
        ), (new Node($input))->nodes('stages')));
        $delay = $budget->delay();

        return (object) ['best_ms' => $delay->best, 'mean_ms' => $delay->mean, 'p95_ms' => $delay->p95, 'worst_ms' => $delay->worst, 'stages' => $budget->shares()];
    }
}
