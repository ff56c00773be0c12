<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\StepState;

/** How far a rig has come: the steps in the order of the job, one sentence, and the one next thing to do. Bench, header and verb say the same. */
final readonly class Verdict
{
    /** @var non-empty-list<Step> */
    public array $steps;

    public Next $next;

    public function __construct(private Reviews $reviews, private ReadinessReview $readiness)
    {
        $this->steps = [
            Step::of(StepKey::Path, $reviews->path()->standing()),
            Step::of(StepKey::Wiring, $reviews->wiring()->standing()),
            Step::of(StepKey::Bind, $reviews->bind()->standing()),
            Step::of(StepKey::Order, $reviews->order()->standing()),
            Step::of(StepKey::Travel, $reviews->travel()->standing()),
            Step::of(StepKey::Switches, $reviews->switches()->standing()),
            Step::of(StepKey::Failsafe, $reviews->failsafe()->standing($reviews->bind()->isBound())),
            Step::of(StepKey::CheckOut, $readiness->standing()),
        ];
        $this->next = $this->findNext();
    }

    /** The worst first, else the first that is not done. */
    private function findNext(): Next
    {
        $urgent = $this->steps[0];
        foreach ($this->steps as $step) {
            $urgent = $step->state->urgency() < $urgent->state->urgency() ? $step : $urgent;
        }

        return $urgent->state === StepState::Done
            ? new Next(StepState::Done, 'Ready', 'Signed off on '.Day::of($this->readiness->signOff()->at).$this->withLeft(), StepKey::CheckOut, 'Open the sheet')
            : new Next($urgent->state, $this->label($urgent->state), $urgent->note, $urgent->key, $this->action($urgent->key));
    }

    private function label(StepState $state): string
    {
        return match (true) {
            $state === StepState::Stop => 'Do not power',
            $this->readiness->isReady() => 'Ready to sign off',
            default => 'Not ready',
        };
    }

    /** A rig that is ready says what was left as it is. */
    private function withLeft(): string
    {
        $left = count($this->readiness->leftovers()->left()->all);

        return $left === 0 ? '.' : ($left === 1 ? ', with one thing left as it is.' : ", with $left things left as they are.");
    }

    private function action(StepKey $step): string
    {
        $chain = $this->reviews->rig->chain();

        return match ($step) {
            StepKey::Path => ! $chain->isChosen() ? 'Choose the path' : ($chain->joins() ? 'Open the path' : 'Find another path'),
            StepKey::Wiring => 'See the wires',
            StepKey::Bind => 'Bind it',
            StepKey::Order => $this->reviews->order()->isRight() ? 'Check the order' : 'Mend the order',
            StepKey::Travel => 'Set the travel',
            StepKey::Switches => 'Set the switches',
            StepKey::Failsafe => 'Open the failsafe',
            StepKey::CheckOut => 'Check it out',
        };
    }
}
