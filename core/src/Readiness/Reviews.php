<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Bind\BindReview;
use Linguator\Core\Steps\Failsafe\FailsafeStep;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Path\PathReview;
use Linguator\Core\Steps\Switches\SwitchReview;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Steps\Wiring\WiringReview;

/** Every step of a rig reviewed, each when it is first asked for, and once. */
final class Reviews
{
    private ?PathReview $path = null;

    private ?OrderReview $order = null;

    private ?WiringReview $wiring = null;

    private ?BindReview $bind = null;

    private ?TravelReview $travel = null;

    private ?SwitchReview $switches = null;

    private ?FailsafeStep $failsafe = null;

    private ?Leftovers $leftovers = null;

    public function __construct(public readonly RigDocument $rig)
    {
    }

    public function path(): PathReview
    {
        return $this->path ??= new PathReview($this->rig);
    }

    public function order(): OrderReview
    {
        return $this->order ??= new OrderReview($this->rig);
    }

    public function wiring(): WiringReview
    {
        return $this->wiring ??= new WiringReview($this->rig, $this->order());
    }

    public function bind(): BindReview
    {
        return $this->bind ??= new BindReview($this->rig);
    }

    public function travel(): TravelReview
    {
        return $this->travel ??= new TravelReview($this->rig);
    }

    public function switches(): SwitchReview
    {
        return $this->switches ??= new SwitchReview($this->rig);
    }

    /** What of every step's work is not done, each open or left as it is. */
    public function leftovers(): Leftovers
    {
        return $this->leftovers ??= $this->path()->leftovers()->and(
            $this->wiring()->leftovers(),
            $this->order()->leftovers(),
            $this->travel()->leftovers(),
            $this->switches()->leftovers(),
            $this->failsafe()->leftovers(),
        );
    }

    public function failsafe(): FailsafeStep
    {
        return $this->failsafe ??= new FailsafeStep($this->rig);
    }
}
