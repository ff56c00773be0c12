<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Timing\LatencyBudget;

/** A chain that joins, with one way chosen at every coupling. */
final readonly class Path
{
    public Cost $cost;

    public Telemetry $telemetry;

    private PathOrder $order;

    /** @var list<Finding> */
    private array $chainFindings;

    /**
     * @param  non-empty-list<Joint>  $joints
     * @param  list<Finding>  $boxFindings  Those of the boxes themselves, whatever the way (reserved channels, supply in the craft).
     */
    public function __construct(public array $joints, private array $boxFindings)
    {
        $handset = $joints[0]->from;
        assert($handset instanceof Handset);
        $this->telemetry = Telemetry::of($joints);
        $this->order = PathOrder::judge($handset, $joints);
        $this->chainFindings = [...PathRules::throttle($joints), ...PathRules::telemetry($joints, $this->telemetry)];
        $this->cost = new Cost(
            count(array_filter($this->findings(), static fn (Finding $finding): bool => $finding->severity === Severity::Fix)),
            count($joints) + 1,
            count($this->changes()),
            $this->latency()->mean(),
        );
    }

    /** @return list<Box> */
    public function boxes(): array
    {
        return [$this->joints[0]->from, ...array_map(static fn (Joint $joint): Box => $joint->to, $this->joints)];
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(static fn (Box $box): string => $box->id(), $this->boxes());
    }

    /** @return list<SettingChange> */
    public function changes(): array
    {
        return [...array_merge(...array_map(static fn (Joint $joint): array => $joint->changes, $this->joints)), ...$this->order->changes];
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [
            ...array_merge(...array_map(static fn (Joint $joint): array => $joint->findings, $this->joints)),
            ...$this->boxFindings,
            ...$this->chainFindings,
            ...$this->order->findings,
        ];
    }

    public function latency(): LatencyBudget
    {
        return new LatencyBudget(array_map(static fn (Joint $joint) => $joint->stage, $this->joints));
    }

    /** Negative when this path is to be preferred: by cost, then telemetry kept, then ids one by one. */
    public function compare(self $that): int
    {
        return $this->cost->compare($that->cost)
            ?: $this->telemetry->rank() <=> $that->telemetry->rank()
            ?: self::compareIds($this->ids(), $that->ids());
    }

    /**
     * @param  list<string>  $a
     * @param  list<string>  $b
     */
    public static function compareIds(array $a, array $b): int
    {
        foreach ($a as $k => $id) {
            $order = isset($b[$k]) ? strcmp($id, $b[$k]) : 1;
            if ($order !== 0) {
                return $order;
            }
        }

        return count($a) <=> count($b);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'boxes' => $this->ids(),
            'links' => array_map(static fn (Joint $joint): array => [
                'from' => $joint->from->id(),
                'to' => $joint->to->id(),
                'via' => $joint->via,
                'settings' => (object) $joint->link,
            ], $this->joints),
            'settings_to_change' => array_map(static fn (SettingChange $change): array => $change->toArray(), $this->changes()),
            'findings' => Finding::listToArray($this->findings()),
            'telemetry' => $this->telemetry->value,
            'latency_ms' => $this->latency()->toArray(),
        ];
    }
}
