<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\Miss;
use Linguator\Core\Chain\SettingChange;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Rig\Neighbours;
use Linguator\Core\Rig\RigChain;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Rig\SettingToMake;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;

/** A rig's own chain as the path step shows it: every coupling with its state, and what is to be set in which box. */
final readonly class PathReview
{
    /** Where the order of the four sticks is mended; the order step has its own say on these. */
    private const ORDER_SETTINGS = ['order', 'remap'];

    private RigChain $chain;

    public function __construct(private RigDocument $rig)
    {
        $this->chain = $rig->chain();
    }

    /** @return list<SettingToMake> */
    public function changes(): array
    {
        $settings = array_filter($this->chain->path?->changes() ?? [], static fn (SettingChange $change): bool => ! in_array($change->setting, self::ORDER_SETTINGS, true));

        return array_map((new SettingNames($this->rig))->change(...), array_values($settings));
    }

    /** @return list<Coupling> */
    public function couplings(): array
    {
        return array_map($this->coupling(...), $this->chain->couplings, array_keys($this->chain->couplings));
    }

    public function standing(): Standing
    {
        if (! $this->chain->isChosen()) {
            return Standing::open('No chain yet.');
        }
        if (! $this->chain->joins()) {
            return Standing::stop($this->firstMiss());
        }
        $stop = $this->chain->findings()->first(Severity::Stop);
        if ($stop !== null) {
            return Standing::stop($stop->message);
        }
        $isSure = $this->chain->findings()->without(Code::O1)->countOf(Severity::Check) === 0;

        return $this->leftovers()->standing(! $this->chain->findings()->has(Severity::Fix)) ?? Standing::done($isSure ? 'Every coupling joins.' : 'Every coupling joins, as far as is known.');
    }

    /** What must be mended on the chain, and what is still to be set in a box. */
    public function leftovers(): Leftovers
    {
        $toMend = $this->chain->joins() ? $this->chain->findings()->where(static fn (Finding $finding): bool => $finding->severity === Severity::Fix) : Findings::none();
        $toSet = array_values(array_filter($this->chain->joins() ? $this->changes() : [], static fn (SettingToMake $change): bool => ! $change->done));

        return Leftovers::of(
            $this->rig,
            ...array_map(static fn (Finding $finding): Leftover => Leftover::toMend(StepKey::Path, $finding->code, $finding->message), $toMend->all),
            ...array_map(static fn (SettingToMake $change): Leftover => Leftover::attention(StepKey::Path, "$change->box/$change->setting", "$change->boxName: set $change->name to $change->value."), $toSet),
        );
    }

    private function firstMiss(): string
    {
        foreach ($this->chain->couplings as $neighbours) {
            if ($neighbours->misses !== []) {
                return $this->misses($neighbours)[0]->message;
            }
        }

        return 'The chain does not join.';
    }

    private function coupling(Neighbours $neighbours, int $position): Coupling
    {
        $joint = $this->chain->joints()[$position] ?? $neighbours->recorded->all[0] ?? null;
        $findings = $this->findingsOf($joint, $neighbours)->without(Code::O1);
        $changes = array_map((new SettingNames($this->rig))->change(...), $joint->changes ?? []);
        $toSet = count(array_filter($changes, static fn (SettingToMake $change): bool => ! $change->done));

        return new Coupling(
            $neighbours->from->id(),
            $neighbours->to->id(),
            $neighbours->isAir() ? CouplingKind::Air : CouplingKind::Wire,
            $joint?->via,
            $joint === null ? 'no way to join' : $this->label($joint),
            $joint === null ? '' : $this->detail($joint),
            $this->stateOf($neighbours, $findings, $toSet),
            $toSet + $findings->countOf(Severity::Fix, Severity::Stop),
            $joint === null ? [] : CouplingFacts::of($joint),
            $findings,
            $changes,
            $this->misses($neighbours),
        );
    }

    private function stateOf(Neighbours $neighbours, Findings $findings, int $toSet): CouplingState
    {
        return match (true) {
            ! $neighbours->join() || $findings->has(Severity::Stop) => CouplingState::WillNotJoin,
            $findings->has(Severity::Fix) || $toSet > 0 => CouplingState::NeedsSetting,
            $findings->has(Severity::Check) => CouplingState::Untested,
            default => CouplingState::Joined,
        };
    }

    /** Those of the joint, and those of the chain that belong to its boxes. */
    private function findingsOf(?Joint $joint, Neighbours $neighbours): Findings
    {
        if ($joint === null) {
            return Findings::none();
        }
        $ofBoxes = $this->chain->findings()->where(static fn (Finding $finding): bool => ($finding->to === $neighbours->to->id() || ($finding->to === null && $finding->from === $neighbours->from->id()))
            && ! $joint->findings->holds($finding));

        return $this->chain->withoutCured($joint->findings)->and($ofBoxes);
    }

    /** @return list<Miss> */
    private function misses(Neighbours $neighbours): array
    {
        return array_map(static fn (Code $code): Miss => Miss::of($code, $neighbours->from->name(), $neighbours->to->name()), $neighbours->misses);
    }

    private function label(Joint $joint): string
    {
        return $joint->isAir() ? SettingNames::air($joint->via) : $joint->output?->format->name ?? $joint->via;
    }

    private function detail(Joint $joint): string
    {
        return implode(', ', array_filter([
            isset($joint->link['port']) ? (string) $joint->link['port'] : null,
            "{$joint->stage->periodMs} ms",
            isset($joint->link['channel_mode']) ? 'ch '.str_replace('-', '–', (string) $joint->link['channel_mode']) : null,
        ]));
    }
}
