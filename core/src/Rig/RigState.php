<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;

/** How far a rig has come, told from joining, wiring and order alone: the steps, one sentence, and the one next thing to do. */
final readonly class RigState
{
    private function __construct(private RigDocument $rig, private ChainReview $chain, private OrderReview $order, private WiringReview $wiring)
    {
    }

    public static function of(RigDocument $rig, ChainReview $chain, OrderReview $order, WiringReview $wiring): self
    {
        return new self($rig, $chain, $order, $wiring);
    }

    /** @return list<array{key: string, title: string, state: string, note: string}> */
    public function steps(): array
    {
        return [
            ['key' => 'path', 'title' => 'Path', ...$this->path()],
            ['key' => 'wiring', 'title' => 'Wiring', ...$this->wiring()],
            ['key' => 'order', 'title' => 'Order', ...$this->order()],
        ];
    }

    /** @return array{severity: string, sentence: string, step: string, action: string} */
    public function next(): array
    {
        foreach ($this->steps() as $step) {
            if ($step['state'] !== 'done') {
                return ['severity' => $step['state'], 'sentence' => $step['note'], 'step' => $step['key'], 'action' => $this->action($step['key'])];
            }
        }
        $at = OrderProof::of($this->rig, $this->order)->at;

        return ['severity' => 'done', 'sentence' => 'Joined, wired and in order'.($at === null ? '.' : '; order proven on '.Day::of($at).'.'), 'step' => 'path', 'action' => 'Open the sheet'];
    }

    /** @return array{state: string, note: string} */
    private function path(): array
    {
        if (! $this->chain->isChosen()) {
            return ['state' => 'open', 'note' => 'No chain yet.'];
        }
        if (! $this->chain->joins()) {
            return ['state' => 'stop', 'note' => $this->firstMiss()];
        }
        foreach ([Severity::Stop, Severity::Fix] as $severity) {
            foreach ($this->chain->findings() as $finding) {
                if ($finding->severity === $severity) {
                    return ['state' => $severity === Severity::Stop ? 'stop' : 'attention', 'note' => $finding->message];
                }
            }
        }
        $open = array_values(array_filter($this->chain->changes(), static fn (array $change): bool => ! $change['done']));
        if ($open !== []) {
            $more = count($open) === 1 ? '' : ', and '.(count($open) - 1).' more';

            return ['state' => 'attention', 'note' => "{$open[0]['box_name']}: set {$open[0]['name']} to {$open[0]['value']}$more."];
        }
        $checks = array_values(array_filter($this->chain->findings(), static fn (Finding $finding): bool => $finding->severity === Severity::Check && $finding->code !== 'O1'));

        return ['state' => 'done', 'note' => $checks === [] ? 'Every coupling joins.' : 'Every coupling joins, as far as is known.'];
    }

    private function firstMiss(): string
    {
        foreach ($this->chain->couplings() as $coupling) {
            $misses = $coupling['misses'];
            if (is_array($misses) && is_array($misses[0] ?? null) && is_string($misses[0]['message'] ?? null)) {
                return $misses[0]['message'];
            }
        }

        return 'The chain does not join.';
    }

    /** @return array{state: string, note: string} */
    private function wiring(): array
    {
        if (! $this->chain->joins()) {
            return ['state' => 'open', 'note' => 'Wires are known once the chain joins.'];
        }
        foreach ($this->wiring->power() as $row) {
            if (in_array($row['severity'], ['stop', 'fix'], true)) {
                return ['state' => $row['severity'] === 'stop' ? 'stop' : 'attention', 'note' => $row['message']];
            }
        }
        if ($this->wiring->isWired()) {
            return ['state' => 'done', 'note' => 'Wired as in the table.'];
        }

        return $this->wiring->wasWiredOtherwise()
            ? ['state' => 'attention', 'note' => 'The wiring table has changed since it was wired.']
            : ['state' => 'open', 'note' => 'Wire it as in the table.'];
    }

    /** @return array{state: string, note: string} */
    private function order(): array
    {
        if ($this->order->unjudged !== null) {
            return ['state' => 'open', 'note' => $this->order->unjudged];
        }
        if (! $this->order->isRight()) {
            return ['state' => 'attention', 'note' => $this->wrongStick()];
        }
        $proof = OrderProof::of($this->rig, $this->order);

        return match ($proof->state) {
            'holds' => ['state' => 'done', 'note' => 'Each stick moves what it should.'],
            'stale' => ['state' => 'attention', 'note' => 'Check the order again: '.implode(', ', $proof->reasons).'.'],
            'failed' => ['state' => 'attention', 'note' => 'The last order check failed.'],
            default => ['state' => 'open', 'note' => 'The order is right by the settings. Move each stick once to prove it.'],
        };
    }

    private function wrongStick(): string
    {
        foreach ($this->order->trace?->toArray() ?? [] as $row) {
            if ($row['letter'] !== $row['read_as']) {
                $names = ['A' => 'aileron', 'E' => 'elevator', 'T' => 'throttle', 'R' => 'rudder'];
                $throttle = array_values(array_filter($this->order->trace?->toArray() ?? [], static fn (array $other): bool => $other['letter'] === 'T' && $other['read_as'] !== 'T'))[0] ?? $row;

                return 'The '.$names[$throttle['letter']].' stick would move '.$names[$throttle['read_as']].'.';
            }
        }

        return 'The order differs.';
    }

    private function action(string $step): string
    {
        return match ($step) {
            'path' => ! $this->chain->isChosen() ? 'Choose the path' : ($this->chain->joins() ? 'Open the path' : 'Find another path'),
            'wiring' => 'See the wires',
            default => $this->order->isRight() ? 'Check the order' : 'Mend the order',
        };
    }
}
