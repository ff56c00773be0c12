<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Readiness\ReadinessReview;
use Linguator\Core\Sheet\SetupSheet;

/** Everything the screens show of a rig, computed from its document. */
final readonly class RigReview
{
    private ChainReview $chain;

    private OrderReview $order;

    private WiringReview $wiring;

    private BindReview $bind;

    private TravelReview $travel;

    private SwitchReview $switches;

    private FailsafeReview $failsafe;

    private ReadinessReview $readiness;

    private RigState $state;

    /** @param  list<array{name: string, memory: string|null, receiver_number: int|null}>  $others  Rigs of the same handset. */
    public function __construct(private RigDocument $rig, private array $others = [])
    {
        $this->chain = ChainReview::of($rig);
        $this->order = OrderReview::of($rig, $this->chain);
        $this->wiring = WiringReview::of($rig, $this->chain, $this->order);
        $this->bind = new BindReview($rig, $this->chain);
        $this->travel = new TravelReview($rig, $this->chain);
        $this->switches = new SwitchReview($rig, $this->chain);
        $this->failsafe = new FailsafeReview($rig);
        $this->readiness = new ReadinessReview($rig, $this->chain, $this->wiring, $this->travel, $this->switches, $this->failsafe);
        $this->state = new RigState($this->chain, $this->order, $this->wiring, $this->bind, $this->travel, $this->switches, $this->failsafe, $this->readiness);
    }

    public function order(): OrderReview
    {
        return $this->order;
    }

    public function chain(): ChainReview
    {
        return $this->chain;
    }

    public function bind(): BindReview
    {
        return $this->bind;
    }

    public function failsafe(): FailsafeReview
    {
        return $this->failsafe;
    }

    public function readiness(): ReadinessReview
    {
        return $this->readiness;
    }

    public function travel(): TravelReview
    {
        return $this->travel;
    }

    /** @return array<string, mixed> What a row of the bench needs. */
    public function summary(): array
    {
        return [
            'name' => $this->rig->name(),
            'craft' => $this->rig->craft()->value,
            'boxes' => $this->boxes(),
            'couplings' => array_map(static fn (array $coupling): array => array_intersect_key($coupling, ['from' => 1, 'to' => 1, 'kind' => 1, 'state' => 1, 'open' => 1, 'label' => 1]), $this->chain->couplings()),
            'next' => $this->state->next(),
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->rig->name(),
            'craft' => $this->rig->craft()->value,
            'boxes' => $this->boxes(),
            'channels' => $this->rig->channels(),
            'couplings' => $this->chain->couplings(),
            'changes' => $this->chain->changes(),
            'latency_ms' => $this->chain->path?->latency()->toArray(),
            'latency_stages' => $this->chain->path?->latency()->stages() ?? [],
            'telemetry' => $this->chain->path?->telemetry->value,
            'order' => $this->order->toArray(),
            'wiring' => $this->wiring->toArray(),
            'bind' => $this->bind->toArray(),
            'travel' => $this->travel->toArray(),
            'switches' => $this->switches->toArray(),
            'failsafe' => (new FailsafeShown($this->rig, $this->failsafe))->toArray(),
            'readiness' => $this->readiness->toArray(),
            'timing' => (new TimingReview($this->rig, $this->chain))->toArray(),
            'handset' => (new HandsetReview($this->rig, $this->others))->items(),
            'units' => (new RigUnits($this->rig, $this->chain))->toArray(),
            'steps' => $this->state->steps(),
            'next' => $this->state->next(),
            'sheet' => (new SetupSheet($this->rig, $this->chain, $this->order, $this->wiring, $this->bind, $this->travel, $this->switches, $this->failsafe, $this->readiness))->sections(),
        ];
    }

    /** @return list<array{id: string, name: string, kind: string, line: string}> */
    private function boxes(): array
    {
        return array_map(fn (int $k): array => [
            'id' => $this->rig->boxes[$k]->id(),
            'name' => $this->rig->boxes[$k]->name(),
            'kind' => $this->rig->boxes[$k]->kind()->value,
            'line' => BoxLine::of($this->rig->boxes[$k], $this->rig),
        ], array_keys($this->rig->boxes));
    }
}
