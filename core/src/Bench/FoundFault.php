<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** What a search for a fault came to: kept in the history, no setting is changed. */
final readonly class FoundFault implements Intent
{
    /** @param  list<Node>  $seen  The course of the search: each with test and outcome. */
    public function __construct(private string $cause, private array $seen = [])
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('cause'), $told->nodes('seen'));
    }

    /** @throws DocumentError at `cause` if there is no such cause. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $remedy = Knowledge::shipped()->remedy($this->cause) ?? throw DocumentError::at('cause', 'There is no cause '.Excerpt::of($this->cause).'.', 'no_such_cause');

        return new Deed(RigPatch::of([]), "Fault found: $remedy->says Mend: $remedy->fix".$this->course(), EntryKind::Note);
    }

    /** @throws DocumentError at a test or an outcome that there is not. */
    private function course(): string
    {
        $said = [];
        foreach ($this->seen as $k => $entry) {
            $test = Knowledge::shipped()->tests[$entry->text('test')] ?? throw DocumentError::at("seen.$k.test", 'There is no test '.Excerpt::of($entry->text('test')).'.', 'no_such_test');
            $outcome = $entry->text('outcome');
            if ($outcome !== Observation::CANNOT_DO) {
                $said[] = $test->asks.' '.ucfirst($test->outcomes[$outcome] ?? throw DocumentError::at("seen.$k.outcome", 'Found '.Excerpt::of($outcome).'; expected one of '.implode(', ', array_keys($test->outcomes)).'.', 'no_such_outcome')).'.';
            }
        }

        return $said === [] ? '' : ' Seen: '.implode(' ', $said);
    }
}
