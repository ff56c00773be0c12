<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Rig\ChainReview;
use Linguator\Core\Rig\CheckState;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchReview;
use Linguator\Core\Rig\TravelReview;
use Linguator\Core\Rig\WiringReview;

/** Is this rig ready? Which checks hold, which went stale and why, what to redo in which order, and may it be signed off? */
final class ReadinessReview
{
    /** @var list<array{kind: CheckKind, hop: int|null, state: CheckState, required: bool}> */
    private readonly array $checks;

    /** @var list<string>|null Looked for once. */
    private ?array $stops = null;

    private ?CheckState $signOff = null;

    public function __construct(
        private readonly RigDocument $rig,
        private readonly ChainReview $chain,
        private readonly WiringReview $wiring,
        private readonly TravelReview $travel,
        private readonly SwitchReview $switches,
        private readonly FailsafeReview $failsafe,
    ) {
        $this->checks = $this->all();
    }

    /** @return list<array{kind: CheckKind, hop: int|null, state: CheckState, required: bool}> In the order in which they are redone. */
    public function states(): array
    {
        return $this->checks;
    }

    public function isReady(): bool
    {
        return $this->checks !== [] && $this->redo() === [] && $this->stops() === [];
    }

    /** @return list<array{check: string, hop: int|null, because: string}> What to redo, in order. */
    public function redo(): array
    {
        $redo = [];
        foreach ($this->checks as $check) {
            if ($check['required'] && ! $check['state']->holds()) {
                $redo[] = ['check' => $check['kind']->value, 'hop' => $check['hop'], 'because' => $this->because($check['state'])];
            }
        }

        return $redo;
    }

    /** @return list<string> Why this rig must not be powered or used, in sentences. */
    public function stops(): array
    {
        return $this->stops ??= $this->lookForStops();
    }

    /** @return list<string> */
    private function lookForStops(): array
    {
        $stops = $this->chain->isChosen() && ! $this->chain->joins() ? ['The chain does not join.'] : [];
        $findings = [...$this->chain->findings(), ...$this->travel->findings(), ...$this->switches->findings()];
        foreach ($this->failsafe->hops as $hop) {
            if ($hop->outcome()->severity() === Severity::Stop) {
                $stops[] = $this->hopName($hop).': '.lcfirst($hop->outcome()->sentence());
            }
            array_push($findings, ...$hop->findings());
        }
        foreach ($findings as $finding) {
            if ($finding->severity === Severity::Stop) {
                $stops[] = $finding->code[0] === 'F' ? "Failsafe: $finding->message" : $finding->message;
            }
        }
        foreach ($this->wiring->power() as $row) {
            if ($row['severity'] === 'stop') {
                $stops[] = $row['message'];
            }
        }

        return array_values(array_unique($stops));
    }

    /** The latest sign-off: it holds while everything it was made with is as it was, and nothing has come up since. */
    public function signOff(): CheckState
    {
        return $this->signOff ??= $this->latestSignOff();
    }

    private function latestSignOff(): CheckState
    {
        $last = null;
        foreach ($this->rig->node()->nodes('sign_offs') as $entry) {
            $last = $entry;
        }
        if ($last === null) {
            return CheckState::told('open', null);
        }
        $reasons = CheckState::reasons($this->rig, $last->node('made_with'));
        if ($reasons === [] && ! $this->isReady()) {
            $reasons = ['a check no longer holds'];
        }

        return CheckState::told($reasons === [] ? 'holds' : 'stale', $last->textOrNull('at'), $last->textOrNull('by'), $last->textOrNull('note'), $reasons);
    }

    /** @return list<string> Why it cannot be signed off; empty when it can. */
    public function refusals(): array
    {
        $refusals = $this->stops();
        foreach ($this->redo() as $redo) {
            $refusals[] = CheckKind::from($redo['check'])->title().($redo['hop'] === null || count($this->failsafe->hops) < 2 ? '' : ", hop {$redo['hop']}").": {$redo['because']}.";
        }

        return $refusals;
    }

    /** Everything a sign-off is made with. */
    public function signOffSettings(): \stdClass
    {
        $keys = array_merge(...array_map(static fn (CheckKind $kind): array => $kind->dependsOn(), CheckKind::cases()));

        return $this->rig->dependent()->record(array_values(array_unique($keys)));
    }

    /** @return array<string, mixed> As the verb answers. */
    public function toArray(): array
    {
        return [
            'ready' => $this->isReady(),
            'checks' => array_map(fn (array $check): array => [
                'check' => $check['kind']->value,
                'hop' => $check['hop'],
                'title' => $check['kind']->title(),
                'required' => $check['required'],
                'expected' => $check['kind']->expected(),
                'step' => $check['kind']->step(),
            ] + $check['state']->toArray(), $this->checks),
            'redo' => $this->redo(),
            'stops' => $this->stops(),
            'sign_off' => $this->signOff()->toArray(),
            'refused_because' => $this->refusals(),
        ];
    }

    /** @return list<array{kind: CheckKind, hop: int|null, state: CheckState, required: bool}> */
    private function all(): array
    {
        $checks = [];
        foreach ($this->rig->boxes === [] ? [] : CheckKind::cases() as $kind) {
            foreach ($kind->isPerHop() ? $this->failsafe->hops : [null] as $hop) {
                $checks[] = ['kind' => $kind, 'hop' => $hop?->number, 'state' => $this->state($kind, $hop), 'required' => $this->isRequired($kind)];
            }
        }

        return $checks;
    }

    private function state(CheckKind $kind, ?FailsafeHop $hop): CheckState
    {
        return $kind === CheckKind::FailsafeSet && $hop !== null ? $this->set($hop) : CheckState::of($this->rig, $kind->value, $hop?->number);
    }

    /** Failsafe is set when a mode this receiver has is recorded, made with the settings as they are, and it comes to no harm. */
    private function set(FailsafeHop $hop): CheckState
    {
        if (! $hop->isSet()) {
            $delivered = $hop->mode();

            return CheckState::told($hop->ways() === [] && $hop->outcome()->severity() !== Severity::Stop ? 'holds' : 'open', null, null, $delivered === null ? null : "as delivered: $delivered");
        }
        $reasons = $hop->setReasons();
        $harm = array_filter($hop->findings(), static fn (Finding $finding): bool => in_array($finding->code, ['F1', 'F4'], true));
        $state = match (true) {
            $reasons !== [] => 'stale',
            $harm !== [] || $hop->outcome()->severity() === Severity::Stop => 'failed',
            default => 'holds',
        };

        return CheckState::told($state, $hop->setAt(), null, $hop->outcome()->sentence(), $reasons);
    }

    private function isRequired(CheckKind $kind): bool
    {
        return match ($kind) {
            CheckKind::Switches => $this->switches->isAssigned(),
            CheckKind::Range => ! $this->rig->craft()->flag('indoors'),
            default => true,
        };
    }

    private function because(CheckState $state): string
    {
        return match ($state->state) {
            'stale' => implode(', ', $state->reasons),
            'failed' => $state->at === null ? 'it failed' : 'it failed on '.Day::of($state->at),
            default => 'not done yet',
        };
    }

    private function hopName(FailsafeHop $hop): string
    {
        return count($this->failsafe->hops) < 2 ? 'When the link is lost' : ($hop->next === null ? 'When the last link is lost' : 'When the first link is lost');
    }
}
