<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Proof\MadeWith;
use Linguator\Core\Proof\ProofState;
use Linguator\Core\Proof\SettingsNow;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;
use Linguator\Core\Steps\Wiring\PowerRow;

/** Is this rig ready? Which checks hold, which went stale and why, what to redo in which order, and may it be signed off? */
final class ReadinessReview
{
    private readonly RigDocument $rig;

    private readonly FailsafeReview $losses;

    /** @var list<Check> In the order in which they are redone. */
    public readonly array $checks;

    /** @var list<string>|null Looked for once. */
    private ?array $stops = null;

    private ?CheckState $signOff = null;

    public function __construct(private readonly Reviews $reviews)
    {
        $this->rig = $reviews->rig;
        $this->losses = $reviews->failsafe()->losses;
        $this->checks = $this->all();
    }

    public function isReady(): bool
    {
        return $this->checks !== [] && $this->redo() === [] && $this->stops() === [] && $this->leftovers()->open()->isEmpty();
    }

    /** @return list<ToRedo> What to redo, in order. */
    public function redo(): array
    {
        return array_map(static fn (Check $check): ToRedo => new ToRedo($check->kind, $check->hop, $check->because()), $this->open());
    }

    /** @return list<string> Why this rig must not be powered or used, in sentences. */
    public function stops(): array
    {
        return $this->stops ??= $this->lookForStops();
    }

    /** The latest sign-off: it holds while everything it was made with is as it was, and nothing has come up since. */
    public function signOff(): CheckState
    {
        return $this->signOff ??= $this->latestSignOff();
    }

    /** What of the steps' work is open or left as it is. */
    public function leftovers(): Leftovers
    {
        return $this->reviews->leftovers();
    }

    /** @return list<string> Why it cannot be signed off; empty when it can. */
    public function refusals(): array
    {
        $open = array_map(static fn (Leftover $leftover): string => "{$leftover->step->title()}: $leftover->sentence", $this->leftovers()->open()->all);

        return [...$this->stops(), ...$open, ...array_map(fn (Check $check): string => $check->kind->title().$this->ofHop($check).": {$check->because()}.", $this->open())];
    }

    /** Everything a sign-off is made with. */
    public function signOffSettings(): \stdClass
    {
        $settings = [];
        foreach (CheckKind::cases() as $kind) {
            $settings += array_column($kind->dependsOn(), null, 'value');
        }

        return SettingsNow::of($this->rig)->record(array_values($settings));
    }

    /** ", hop 2" where there is more than one. */
    public function ofHop(Check $check): string
    {
        return $check->hop === null || count($this->losses->hops) < 2 ? '' : ", hop $check->hop";
    }

    public function standing(): Standing
    {
        $signOff = $this->signOff();
        $redo = count($this->open());

        return match (true) {
            $signOff->holds() => Standing::done('Signed off on '.Day::of($signOff->at).'.'),
            $signOff->state === ProofState::Stale && $this->isReady() => Standing::attention('Every check holds again: sign it off anew.'),
            // What is open elsewhere speaks for itself there.
            $signOff->state === ProofState::Stale && $redo === 0 => Standing::open('No longer signed off: '.implode(', ', $signOff->reasons).'.'),
            $signOff->state === ProofState::Stale => Standing::attention('No longer signed off: '.implode(', ', $signOff->reasons).'.'),
            $this->stops() !== [] => Standing::open('Not before what stands against it is mended.'),
            $redo > 0 => Standing::open($redo === 1 ? 'One check to do before it is ready.' : "$redo checks to do before it is ready."),
            $this->checks === [] => Standing::open('There is nothing to check out yet.'),
            ! $this->leftovers()->open()->isEmpty() => Standing::open('Every check holds, but other steps are not done.'),
            default => Standing::open('Every check holds: sign it off.'),
        };
    }

    public function shown(): ReadinessView
    {
        return new ReadinessView($this->isReady(), $this->checks, $this->redo(), $this->stops(), $this->signOff(), $this->refusals(), $this->leftovers()->all);
    }

    /** @return list<Check> */
    private function open(): array
    {
        return array_values(array_filter($this->checks, static fn (Check $check): bool => $check->mustBeMade()));
    }

    /** @return list<string> */
    private function lookForStops(): array
    {
        $chain = $this->rig->chain();
        $stops = $chain->isChosen() && ! $chain->joins() ? ['The chain does not join.'] : [];
        $findings = $chain->findings()->and($this->reviews->travel()->findings(), $this->reviews->switches()->findings());
        foreach ($this->reviews->failsafe()->inForce($this->reviews->bind()->isBound()) as $hop) {
            if ($hop->outcome()->least() === Severity::Stop) {
                $stops[] = $this->hopName($hop).': '.lcfirst($hop->outcome()->sentence());
            }
            $findings = $findings->and($hop->findings()->without(Code::F6, Code::F7));
        }
        foreach ($findings->where(static fn (Finding $finding): bool => $finding->severity === Severity::Stop) as $finding) {
            $stops[] = $finding->code->isFailsafe() ? "Failsafe: $finding->message" : $finding->message;
        }
        $power = array_filter($this->reviews->wiring()->power, static fn (PowerRow $row): bool => $row->severity === Severity::Stop);

        return array_values(array_unique([...$stops, ...array_map(static fn (PowerRow $row): string => $row->message, $power)]));
    }

    private function latestSignOff(): CheckState
    {
        $all = $this->rig->node()->nodes('sign_offs');
        $last = $all === [] ? null : $all[count($all) - 1];
        if ($last === null) {
            return CheckState::told(ProofState::Open, null);
        }
        $reasons = (new MadeWith($this->rig, $last->node('made_with')))->reasons();
        if ($reasons === [] && ! $this->isReady()) {
            $reasons = [$this->leftovers()->open()->isEmpty() ? 'a check no longer holds' : 'a step is not done any more'];
        }
        $since = array_filter($this->leftovers()->left()->all, static fn (Leftover $leftover): bool => $leftover->left !== null && $leftover->left->at > $last->text('at'));
        if ($reasons === [] && $since !== []) {
            $reasons = ['something was left as it is since'];
        }

        return CheckState::told($reasons === [] ? ProofState::Holds : ProofState::Stale, $last->textOrNull('at'), $last->textOrNull('by'), $last->textOrNull('note'), $reasons);
    }

    /** @return list<Check> */
    private function all(): array
    {
        $checks = [];
        foreach (count($this->rig->boxes) === 0 ? [] : CheckKind::cases() as $kind) {
            foreach ($kind->isPerHop() ? $this->losses->hops : [null] as $hop) {
                $checks[] = new Check($kind, $hop?->number, $this->state($kind, $hop), $this->isRequired($kind));
            }
        }

        return $checks;
    }

    private function state(CheckKind $kind, ?FailsafeHop $hop): CheckState
    {
        return match (true) {
            $hop === null => CheckState::of($this->rig, $kind),
            $kind === CheckKind::FailsafeSet => $this->set($hop),
            $kind === CheckKind::FailsafeTested => $hop->proof(),
            default => $this->reviews->bind()->proof($hop->number),
        };
    }

    /** Failsafe is set when a mode this receiver has is recorded, made with the settings as they are, and it comes to no harm. */
    private function set(FailsafeHop $hop): CheckState
    {
        if (! $hop->isSet()) {
            $delivered = $hop->mode();
            $isFixed = $hop->ways() === [] && $hop->outcome()->least() !== Severity::Stop;

            return CheckState::told($isFixed ? ProofState::Holds : ProofState::Open, null, null, $delivered === null ? null : "as delivered: $delivered->value");
        }
        $reasons = $hop->setReasons();
        $state = match (true) {
            $reasons !== [] => ProofState::Stale,
            ! $hop->findings()->only(Code::F1, Code::F4)->isEmpty() || $hop->outcome()->least() === Severity::Stop => ProofState::Failed,
            default => ProofState::Holds,
        };

        return CheckState::told($state, $hop->setAt(), null, $hop->outcome()->sentence(), $reasons);
    }

    private function isRequired(CheckKind $kind): bool
    {
        return match ($kind) {
            CheckKind::Switches => $this->reviews->switches()->isAssigned(),
            CheckKind::Range => ! $this->rig->craft()->flag('indoors'),
            default => true,
        };
    }

    private function hopName(FailsafeHop $hop): string
    {
        return count($this->losses->hops) < 2 ? 'When the link is lost' : ($hop->next === null ? 'When the last link is lost' : 'When the first link is lost');
    }
}
