<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Sheet\SetupSheet;

/** Everything the screens show of a rig, computed from its document. */
final readonly class RigReview
{
    private ChainReview $chain;

    private OrderReview $order;

    private WiringReview $wiring;

    private RigState $state;

    public function __construct(private RigDocument $rig)
    {
        $this->chain = ChainReview::of($rig);
        $this->order = OrderReview::of($rig, $this->chain);
        $this->wiring = WiringReview::of($rig, $this->chain, $this->order);
        $this->state = RigState::of($rig, $this->chain, $this->order, $this->wiring);
    }

    public function order(): OrderReview
    {
        return $this->order;
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
            'steps' => $this->state->steps(),
            'next' => $this->state->next(),
            'sheet' => (new SetupSheet($this->rig, $this->chain, $this->order, $this->wiring))->sections(),
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
