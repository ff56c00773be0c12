<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Gear\Box;
use Linguator\Core\Readiness\ReadinessReview;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Readiness\Verdict;
use Linguator\Core\Rig\OtherRig;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Sheet\SetupSheet;
use Linguator\Core\Steps\Handset\HandsetReview;
use Linguator\Core\Steps\Path\Coupling;
use Linguator\Core\Steps\Path\CouplingMark;
use Linguator\Core\Steps\Timing\TimingReview;
use Linguator\Core\Steps\Told\ToldReview;

/** Everything the screens show of a rig, computed from its document. */
final readonly class RigReview
{
    public Reviews $steps;

    public ReadinessReview $readiness;

    public Verdict $verdict;

    /** @param  list<OtherRig>  $others  Rigs of the same handset. */
    public function __construct(private RigDocument $rig, private array $others = [])
    {
        $this->steps = new Reviews($rig);
        $this->readiness = new ReadinessReview($this->steps);
        $this->verdict = new Verdict($this->steps, $this->readiness);
    }

    public function summary(): RigSummary
    {
        return new RigSummary(
            $this->rig->name(),
            $this->rig->craft()->value,
            $this->boxes(),
            array_map(static fn (Coupling $coupling): CouplingMark => $coupling->mark(), $this->steps->path()->couplings()),
            $this->verdict->next,
        );
    }

    public function shown(): RigView
    {
        $latency = $this->rig->chain()->path?->latency();

        return new RigView(
            $this->rig->name(),
            $this->rig->craft()->value,
            $this->boxes(),
            $this->rig->channels(),
            $this->steps->path()->couplings(),
            $this->steps->path()->changes(),
            $latency?->delay(),
            $latency?->shares() ?? [],
            $this->rig->chain()->path?->telemetry,
            $this->steps->order()->shown(),
            $this->steps->wiring()->shown(),
            $this->steps->bind()->hops(),
            $this->steps->travel()->shown(),
            $this->steps->switches()->shown(),
            $this->steps->failsafe()->shown(),
            $this->readiness->shown(),
            (new TimingReview($this->rig))->shown(),
            (new HandsetReview($this->rig, $this->others))->items(),
            (new ToldReview($this->rig))->shown(),
            (new RigUnits($this->rig))->shown(),
            $this->verdict->steps,
            $this->verdict->next,
            (new SetupSheet($this->steps, $this->readiness, $this->verdict))->sections(),
            MenusView::of($this->rig),
        );
    }

    /** @return list<BoxView> */
    private function boxes(): array
    {
        return array_map(fn (Box $box): BoxView => BoxView::of($box, $this->rig), $this->rig->boxes->all);
    }
}
