<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Chain\JoinContext;
use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\MissText;
use Linguator\Core\Chain\Path;
use Linguator\Core\Chain\PathChoice;
use Linguator\Core\Chain\PathRules;
use Linguator\Core\Chain\Segment;
use Linguator\Core\Chain\SettingChange;
use Linguator\Core\Chain\WireJoiner;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Receiver;

/** A rig's own chain, judged box by box with the rules of `plan`. */
final readonly class ChainReview
{
    /** Where the order of the four sticks is mended; the order step has its own say on these. */
    private const ORDER_SETTINGS = ['order', 'remap'];

    /**
     * @param  list<list<Joint>>  $couplings  Ways in which each neighbour joins the next; empty where none does.
     * @param  list<list<string>>  $misses  Codes for each coupling that does not join.
     * @param  Path|null  $path  Null while something does not join.
     * @param  list<list<Joint>>  $everyWay  Those too that are not recorded.
     */
    private function __construct(private RigDocument $rig, private array $couplings, private array $misses, public ?Path $path, private array $everyWay = [])
    {
    }

    public static function of(RigDocument $rig): self
    {
        $handset = $rig->handset();
        if ($handset === null || $rig->craftBox() === null) {
            return new self($rig, [], [], null);
        }
        $context = new JoinContext($rig->channels(), $handset, $rig->pack());
        [$wires, $air] = [new WireJoiner($context), new AirJoiner($context)];
        [$couplings, $misses, $everyWay] = [[], [], []];
        for ($k = 1; $k < count($rig->boxes); $k++) {
            [$from, $to] = [$rig->boxes[$k - 1], $rig->boxes[$k]];
            $isAir = $to instanceof Receiver;
            $joints = $isAir ? $air->joints($from, $to) : $wires->joints($from, $to);
            $everyWay[] = $joints;
            $couplings[] = self::asRecorded($joints, $rig->recordedVia($from->id(), $to->id()));
            $misses[] = $joints !== [] ? [] : (($isAir ? $air->nearestMisfit($from, $to) : $wires->nearestMisfit($from, $to))->codes ?? ['M14']);
        }

        return new self($rig, $couplings, $misses, self::path($rig, $couplings), $everyWay);
    }

    /** @return list<Joint> Every way in which the box at this position joins the next. */
    public function waysAt(int $position): array
    {
        return $this->everyWay[$position] ?? [];
    }

    public function isChosen(): bool
    {
        return $this->couplings !== [];
    }

    public function joins(): bool
    {
        return $this->path !== null;
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return $this->path?->findings() ?? [];
    }

    /** @return list<array{box: string, box_name: string, setting: string, to: string|float|int|bool, name: string, value: string, done: bool}> */
    public function changes(): array
    {
        $names = new SettingNames($this->rig);

        return array_map($names->change(...), $this->settings());
    }

    /** @return list<array<string, mixed>> */
    public function couplings(): array
    {
        return array_map($this->coupling(...), array_keys($this->couplings));
    }

    /** @return array<string, mixed> */
    private function coupling(int $k): array
    {
        [$from, $to] = [$this->rig->boxes[$k], $this->rig->boxes[$k + 1]];
        $joint = $this->path?->joints[$k] ?? $this->couplings[$k][0] ?? null;
        $findings = array_values(array_filter(
            $this->findingsOf($joint, $from, $to),
            static fn (Finding $finding): bool => $finding->code !== 'O1',
        ));
        $changes = $this->changesOf($joint);
        $state = $this->stateOf($this->misses[$k], $findings, $changes);

        return [
            'from' => $from->id(),
            'to' => $to->id(),
            'kind' => $to instanceof Receiver ? 'air' : 'wire',
            'via' => $joint?->via,
            'label' => $joint === null ? 'no way to join' : $this->label($joint),
            'detail' => $joint === null ? '' : $this->detail($joint),
            'state' => $state,
            'open' => count(array_filter($changes, static fn (array $change): bool => ! $change['done']))
                + count(array_filter($findings, static fn (Finding $finding): bool => in_array($finding->severity, [Severity::Fix, Severity::Stop], true))),
            'facts' => $joint === null ? [] : CouplingFacts::of($joint),
            'findings' => Finding::listToArray($findings),
            'changes' => $changes,
            'misses' => array_map(static fn (string $code): array => MissText::of($code, $from->name(), $to->name()), $this->misses[$k]),
        ];
    }

    /**
     * @param  list<string>  $misses
     * @param  list<Finding>  $findings
     * @param  list<array{done: bool}>  $changes
     */
    private function stateOf(array $misses, array $findings, array $changes): string
    {
        $worst = array_map(static fn (Finding $finding): Severity => $finding->severity, $findings);

        return match (true) {
            $misses !== [] || in_array(Severity::Stop, $worst, true) => 'will_not_join',
            in_array(Severity::Fix, $worst, true) || in_array(false, array_column($changes, 'done'), true) => 'needs_setting',
            in_array(Severity::Check, $worst, true) => 'untested',
            default => 'joined',
        };
    }

    /** @return list<Finding> Those of the joint, and those of the chain that belong to its boxes. */
    private function findingsOf(?Joint $joint, Box $from, Box $to): array
    {
        if ($joint === null) {
            return [];
        }
        $own = $joint->findings;
        foreach ($this->findings() as $finding) {
            $here = $finding->to === $to->id() || ($finding->to === null && $finding->from === $from->id());
            if ($here && ! in_array($finding, $own, true)) {
                $own[] = $finding;
            }
        }

        return $own;
    }

    /** @return list<array{box: string, box_name: string, setting: string, to: string|float|int|bool, name: string, value: string, done: bool}> */
    private function changesOf(?Joint $joint): array
    {
        $names = new SettingNames($this->rig);

        return array_map($names->change(...), $joint->changes ?? []);
    }

    /** @return list<SettingChange> */
    private function settings(): array
    {
        return array_values(array_filter(
            $this->path?->changes() ?? [],
            static fn (SettingChange $change): bool => ! in_array($change->setting, self::ORDER_SETTINGS, true),
        ));
    }

    private function label(Joint $joint): string
    {
        if ($joint->isAir()) {
            return SettingNames::air($joint->via);
        }

        return $joint->output?->format->name ?? $joint->via;
    }

    private function detail(Joint $joint): string
    {
        return implode(', ', array_filter([
            isset($joint->link['port']) ? (string) $joint->link['port'] : null,
            "{$joint->stage->periodMs} ms",
            isset($joint->link['channel_mode']) ? 'ch '.str_replace('-', '–', (string) $joint->link['channel_mode']) : null,
        ]));
    }

    /**
     * @param  list<Joint>  $joints
     * @return list<Joint>
     */
    private static function asRecorded(array $joints, ?string $via): array
    {
        $recorded = array_values(array_filter($joints, static fn (Joint $joint): bool => $joint->via === $via));

        return $recorded === [] ? $joints : $recorded;
    }

    /** @param  list<list<Joint>>  $couplings */
    private static function path(RigDocument $rig, array $couplings): ?Path
    {
        $whole = Segment::start();
        $craft = $rig->craftBox();
        $lastReceiver = null;
        foreach ($rig->boxes as $box) {
            $lastReceiver = $box instanceof Receiver ? $box : $lastReceiver;
        }
        $fed = false;
        foreach ($couplings as $k => $joints) {
            if ($joints === []) {
                return null;
            }
            $box = $rig->boxes[$k + 1];
            $fed = $fed || $box === $lastReceiver;
            $findings = $box instanceof Receiver ? PathRules::reserved($box, $rig->functions(), $rig->channels()) : [];
            $feed = $fed && $box !== $craft ? PathRules::feed($box, $craft?->feedsV) : null;
            $whole = $whole->to($box, $joints, $feed === null ? $findings : [...$findings, $feed]);
        }

        return $couplings === [] ? null : PathChoice::best($whole, null);
    }
}
