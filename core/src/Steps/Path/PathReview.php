<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\Miss;
use Linguator\Core\Chain\SettingChange;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\InputPort;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Radio;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\Neighbours;
use Linguator\Core\Rig\RigChain;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Rig\SettingToMake;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;
use Linguator\Core\Steps\Told\ToldReview;

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
        )->and((new ToldReview($this->rig))->leftovers());
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
            $joint === null ? 'no way to join' : SettingNames::way($joint->via),
            $joint === null ? '' : $this->detail($joint),
            $this->stateOf($neighbours, $findings, $toSet),
            $toSet + $findings->countOf(Severity::Fix, Severity::Stop),
            $joint === null ? [] : CouplingFacts::of($joint),
            $findings,
            $changes,
            $this->misses($neighbours),
            $this->ways($neighbours, $joint),
        );
    }

    /**
     * Every way in which the two join, with its price: the cheapest of those of one format.
     *
     * @return list<CouplingWay> The chosen one first, then fewest things to mend, to set, and the shortest delay.
     */
    private function ways(Neighbours $neighbours, ?Joint $chosen): array
    {
        $best = [];
        foreach ($neighbours->ways as $joint) {
            $known = $best[$joint->via] ?? null;
            $best[$joint->via] = $joint === $chosen || $known === null || ($known !== $chosen && [$joint->fixes, count($joint->changes), $joint->stage->mean()] < [$known->fixes, count($known->changes), $known->stage->mean()]) ? $joint : $known;
        }
        $ways = array_map(fn (Joint $joint): CouplingWay => new CouplingWay(
            $joint->via, SettingNames::way($joint->via), round($joint->stage->mean(), 2), count($joint->changes), $joint->fixes, $joint->isAir() ? null : $joint->bringsDataBack(), $joint->via === $chosen?->via,
        ), array_values($best));
        usort($ways, static fn (CouplingWay $a, CouplingWay $b): int => [! $a->chosen, $a->fixes, $a->settings, $a->meanMs] <=> [! $b->chosen, $b->fixes, $b->settings, $b->meanMs]);

        return $ways;
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
        return array_map(fn (Code $code): Miss => Miss::of($code, $neighbours->from->name(), $neighbours->to->name(), $this->numbers($code, $neighbours)), $neighbours->misses);
    }

    /** Found and expected: channels asked for and carried (M12), full voltage and what is taken (P1). */
    private function numbers(Code $code, Neighbours $neighbours): string
    {
        if ($code === Code::M12) {
            $most = array_filter([self::sends($neighbours->from), self::takes($neighbours->to)], is_int(...));

            return $most === [] ? '' : sprintf('%d asked for, %d get through', $this->rig->channels(), min($most));
        }
        $full = $this->rig->pack()?->supply()->full;
        if ($code !== Code::P1 || ! $neighbours->to instanceof Module || $neighbours->to->supply->max === null || $full === null) {
            return '';
        }

        return sprintf('%g V when full, it takes at most %g V', $full, $neighbours->to->supply->max);
    }

    /** The most channels a box sends; null: not known. */
    private static function sends(Box $box): ?int
    {
        $counts = array_map(static fn (Radio $radio): ?int => self::most(array_map(static fn (Protocol $protocol): ?int => $protocol->channels, $radio->protocols)), AirJoiner::radiosOf($box));
        $wires = array_map(static fn (OutputPort $port): ?int => $port->channels, $box->ports()->outputs);
        $own = $box instanceof Handset ? $box->channels : null;
        $sent = self::most([...$counts, ...$wires]);

        return $own === null ? $sent : min($own, $sent ?? $own);
    }

    /** The most channels a box takes in; null: not known. */
    private static function takes(Box $box): ?int
    {
        return self::most($box instanceof Receiver
            ? array_map(static fn (Protocol $protocol): ?int => $protocol->channels, $box->protocols)
            : array_map(static fn (InputPort $port): ?int => $port->channels, $box->ports()->inputs));
    }

    /** @param  list<int|null>  $counts */
    private static function most(array $counts): ?int
    {
        $known = array_filter($counts, is_int(...));

        return count($known) < count($counts) || $known === [] ? null : max($known);
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
