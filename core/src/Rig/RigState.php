<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Readiness\ReadinessReview;

/** How far a rig has come: the steps in the order of the job, one sentence, and the one next thing to do. */
final readonly class RigState
{
    public function __construct(
        private ChainReview $chain,
        private OrderReview $order,
        private WiringReview $wiring,
        private BindReview $bind,
        private TravelReview $travel,
        private SwitchReview $switches,
        private FailsafeReview $failsafe,
        private ReadinessReview $readiness,
    ) {
    }

    /** @return list<array{key: string, title: string, state: string, note: string}> */
    public function steps(): array
    {
        return [
            ['key' => 'path', 'title' => 'Path', ...$this->path()],
            ['key' => 'wiring', 'title' => 'Wiring', ...$this->wiring()],
            ['key' => 'bind', 'title' => 'Bind', ...$this->bind()],
            ['key' => 'order', 'title' => 'Order', ...$this->order()],
            ['key' => 'travel', 'title' => 'Travel', ...$this->travel()],
            ['key' => 'switches', 'title' => 'Switches', ...$this->switches()],
            ['key' => 'failsafe', 'title' => 'Failsafe', ...$this->failsafe()],
            ['key' => 'check-out', 'title' => 'Check-out', ...$this->checkOut()],
        ];
    }

    /** @return array{severity: string, sentence: string, step: string, action: string} The worst first, else the first that is not done. */
    public function next(): array
    {
        $steps = $this->steps();
        foreach (['stop', 'attention', 'open'] as $state) {
            foreach ($steps as $step) {
                if ($step['state'] === $state) {
                    return ['severity' => $state, 'sentence' => $step['note'], 'step' => $step['key'], 'action' => $this->action($step['key'])];
                }
            }
        }

        return ['severity' => 'done', 'sentence' => 'Ready since '.Day::of($this->readiness->signOff()->at).'.', 'step' => 'check-out', 'action' => 'Open the sheet'];
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
        $found = $this->worst($this->chain->findings());
        if ($found !== null) {
            return $found;
        }
        $open = array_values(array_filter($this->chain->changes(), static fn (array $change): bool => ! $change['done']));
        if ($open !== []) {
            $more = count($open) === 1 ? '' : ', and '.(count($open) - 1).' more';

            return ['state' => 'attention', 'note' => "{$open[0]['box_name']}: set {$open[0]['name']} to {$open[0]['value']}$more."];
        }
        $checks = array_filter($this->chain->findings(), static fn (Finding $finding): bool => $finding->severity === Severity::Check && $finding->code !== 'O1');

        return ['state' => 'done', 'note' => $checks === [] ? 'Every coupling joins.' : 'Every coupling joins, as far as is known.'];
    }

    /**
     * @param  list<Finding>  $findings
     * @return array{state: string, note: string}|null Null when nothing must be mended.
     */
    private function worst(array $findings): ?array
    {
        foreach (['stop' => Severity::Stop, 'attention' => Severity::Fix] as $state => $severity) {
            foreach ($findings as $finding) {
                if ($finding->severity === $severity) {
                    return ['state' => $state, 'note' => $finding->message];
                }
            }
        }

        return null;
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
    private function bind(): array
    {
        $reasons = $this->bind->staleReasons();

        return match (true) {
            ! $this->chain->joins() => ['state' => 'open', 'note' => 'Binding is known once the chain joins.'],
            $this->bind->isBound() => ['state' => 'done', 'note' => 'Bound, and the light follows the handset.'],
            $reasons !== [] => ['state' => 'attention', 'note' => 'Bind again: '.implode(', ', $reasons).'.'],
            default => ['state' => 'open', 'note' => 'Bind, and see the light follow the handset.'],
        };
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
        $proof = $this->order->proof();

        return match ($proof->state) {
            'holds' => ['state' => 'done', 'note' => 'Each stick moves what it should.'],
            'stale' => ['state' => 'attention', 'note' => 'Check the order again: '.implode(', ', $proof->reasons).'.'],
            'failed' => ['state' => 'attention', 'note' => 'The last order check failed.'],
            default => ['state' => 'open', 'note' => 'The order is right by the settings. Move each stick once to prove it.'],
        };
    }

    private function wrongStick(): string
    {
        $wrong = array_values(array_filter($this->order->trace?->toArray() ?? [], static fn (array $row): bool => $row['letter'] !== $row['read_as']));
        foreach ([...array_filter($wrong, static fn (array $row): bool => $row['letter'] === 'T'), ...$wrong] as $row) {
            return 'The '.Letter::from($row['letter'])->functionName().' stick would move '.Letter::from($row['read_as'])->functionName().'.';
        }

        return 'The order differs.';
    }

    /** @return array{state: string, note: string} */
    private function travel(): array
    {
        if (! $this->chain->joins()) {
            return ['state' => 'open', 'note' => 'Travel is known once the chain joins.'];
        }
        $found = $this->worst($this->travel->findings());
        if ($found !== null) {
            return $found;
        }
        if ($this->travel->isDone()) {
            return ['state' => 'done', 'note' => 'Every stick reaches its ends and rests in the middle.'];
        }
        $again = array_filter($this->travel->rows, static fn (TravelRow $row): bool => in_array($row->state(), ['set', 'residue', 'solved'], true));
        foreach ($again as $row) {
            return ['state' => 'attention', 'note' => match ($row->state()) {
                'set' => "Read $row->function again: its settings were changed.",
                'residue' => sprintf('%s is still %g µs off.', ucfirst($row->function), round($row->residueUs(), 1)),
                default => sprintf('%s is %g µs off; the settings that mend it are computed.', ucfirst($row->function), round($row->residueUs(), 1)),
            }];
        }

        return ['state' => 'open', 'note' => 'Read each stick at both ends and at rest.'];
    }

    /** @return array{state: string, note: string} */
    private function switches(): array
    {
        $found = $this->worst($this->switches->findings());
        if ($found !== null) {
            return $found;
        }
        $waiting = $this->switches->unassigned();

        return match (true) {
            $waiting !== [] => ['state' => 'open', 'note' => 'Choose a switch for '.implode(', ', $waiting).'.'],
            $this->switches->isAssigned() => ['state' => 'done', 'note' => 'Every switch lands where it should.'],
            default => ['state' => 'done', 'note' => 'No switches to set.'],
        };
    }

    /** @return array{state: string, note: string} */
    private function failsafe(): array
    {
        if (! $this->chain->joins() || $this->failsafe->hops === []) {
            return ['state' => 'open', 'note' => 'What a lost link does is known once the chain joins.'];
        }
        foreach ($this->failsafe->hops as $hop) {
            $harm = $this->harm($hop);
            if ($harm !== null && ($hop->isSet() || $this->bind->isBound())) {
                return ['state' => 'stop', 'note' => "Do not power: $harm"];
            }
        }
        foreach ($this->failsafe->hops as $hop) {
            if (! $hop->isTested()) {
                $which = count($this->failsafe->hops) < 2 ? 'the failsafe' : ($hop->next === null ? "the last hop's failsafe" : "the first hop's failsafe");

                return ['state' => $hop->isSet() ? 'attention' : 'open', 'note' => $hop->isSet() || $hop->ways() === [] ? "Test $which: ".lcfirst($hop->lastTest() === null ? 'never tested.' : implode(', ', $hop->testReasons()).'.') : "Set $which, then test it."];
            }
        }

        return ['state' => 'done', 'note' => 'Every lost link was tested.'];
    }

    /** What is wrong with a hop besides that nobody tested it. */
    private function harm(FailsafeHop $hop): ?string
    {
        $first = $hop->next !== null;
        if ($hop->outcome()->severity() === Severity::Stop) {
            return $first ? 'the first hop holds on loss.' : 'it holds the last commands on loss.';
        }
        foreach ($hop->findings() as $finding) {
            if ($finding->severity === Severity::Stop && ! in_array($finding->code, ['F6', 'F7'], true)) {
                return 'failsafe '.lcfirst($finding->message);
            }
        }

        return null;
    }

    /** @return array{state: string, note: string} */
    private function checkOut(): array
    {
        $signOff = $this->readiness->signOff();
        $redo = count($this->readiness->redo());

        return match (true) {
            $signOff->state === 'holds' => ['state' => 'done', 'note' => 'Signed off on '.Day::of($signOff->at).'.'],
            $signOff->state === 'stale' => ['state' => 'attention', 'note' => 'No longer signed off: '.implode(', ', $signOff->reasons).'.'],
            $redo > 0 => ['state' => 'open', 'note' => $redo === 1 ? 'One check to do before it is ready.' : "$redo checks to do before it is ready."],
            default => ['state' => 'open', 'note' => 'Every check holds: sign it off.'],
        };
    }

    private function action(string $step): string
    {
        return match ($step) {
            'path' => ! $this->chain->isChosen() ? 'Choose the path' : ($this->chain->joins() ? 'Open the path' : 'Find another path'),
            'wiring' => 'See the wires',
            'bind' => 'Bind it',
            'travel' => 'Set the travel',
            'switches' => 'Set the switches',
            'failsafe' => 'Open the failsafe',
            'check-out' => 'Check it out',
            default => $this->order->isRight() ? 'Check the order' : 'Mend the order',
        };
    }
}
