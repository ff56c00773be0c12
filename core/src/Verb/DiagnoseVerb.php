<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Measured;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Diagnosis\Parts;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;

/** What can still be wrong after what was seen, and what to look at next? */
final class DiagnoseVerb implements Verb
{
    public static function name(): string
    {
        return 'diagnose';
    }

    public static function summary(): string
    {
        return 'Causes of a fault by what was seen and measured, the next best test by bits a minute, and the mend.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $knowledge = Knowledge::shipped();
        self::checkFixed($node, $knowledge);
        $measured = $node->node('measured');
        $parts = $node->node('parts');
        $diagnosis = new Diagnosis(
            $knowledge,
            [...self::told($node, $knowledge), ...($measured === null ? [] : Measured::observations($measured))],
            new Parts($parts?->flagOrNull('module') ?? true, $parts?->flagOrNull('relay') ?? true, $parts?->flagOrNull('controller') ?? true),
            $node->flag('allow_risk'),
            $node->texts('fixed'),
        );
        [$suspects, $next, $isDone] = [$diagnosis->suspects(), $diagnosis->next(), $diagnosis->isDone()];
        $cause = $knowledge->remedy($suspects[0]->cause);

        return (object) (['causes' => $suspects, 'next_test' => $next, 'done' => $isDone, 'sure' => $diagnosis->isSure()]
            + ($isDone && $cause !== null ? ['fix' => $cause->fix, 'prove_with' => $cause->prove] : []));
    }

    /** @return list<Observation> */
    private static function told(Node $node, Knowledge $knowledge): array
    {
        $told = [];
        foreach ($node->nodes('evidence') as $k => $entry) {
            $test = $knowledge->tests[$entry->text('test')] ?? throw DocumentError::at("evidence.$k.test", 'There is no test '.Excerpt::of($entry->text('test')).'.', 'no_such_test');
            $outcome = $entry->text('outcome');
            if ($outcome !== Observation::CANNOT_DO && ! $test->may($outcome)) {
                throw DocumentError::at("evidence.$k.outcome", 'Found '.Excerpt::of($outcome).'; expected one of '.implode(', ', array_keys($test->outcomes)).', '.Observation::CANNOT_DO.'.', 'no_such_outcome');
            }
            $told[] = new Observation($test->id, $outcome);
        }

        return $told;
    }

    /** @throws DocumentError at the cause that there is not. */
    private static function checkFixed(Node $node, Knowledge $knowledge): void
    {
        foreach ($node->texts('fixed') as $k => $cause) {
            if (! isset($knowledge->causes[$cause]) && $cause !== Knowledge::SOMETHING_ELSE) {
                throw DocumentError::at("fixed.$k", 'There is no cause '.Excerpt::of($cause).'.', 'no_such_cause');
            }
        }
    }
}
