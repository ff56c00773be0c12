<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Timing\LatencyBudget;

/** A chain that joins, with one way chosen at every coupling. */
final readonly class Path implements \JsonSerializable
{
    public Cost $cost;

    public Telemetry $telemetry;

    private PathOrder $order;

    private Findings $chainFindings;

    /** @param  Findings  $boxFindings  Those of the boxes themselves, whatever the way (reserved channels, supply in the craft). */
    public function __construct(public Joints $joints, private Findings $boxFindings)
    {
        $handset = $joints->first()->from;
        assert($handset instanceof Handset);
        $this->telemetry = Telemetry::of($joints);
        $this->order = PathOrder::judge($handset, $joints);
        $this->chainFindings = Findings::of(PathRules::throttle($joints), PathRules::telemetry($joints, $this->telemetry));
        $this->cost = new Cost(
            $this->findings()->countOf(Severity::Fix),
            count($joints) + 1,
            count($this->changes()),
            $this->latency()->mean(),
        );
    }

    public function boxes(): Boxes
    {
        return $this->joints->boxes;
    }

    /** @return list<string> */
    public function ids(): array
    {
        return $this->boxes()->ids();
    }

    /** @return list<SettingChange> */
    public function changes(): array
    {
        return [...array_merge(...array_map(static fn (Joint $joint): array => $joint->changes, $this->joints->all)), ...$this->order->changes];
    }

    public function findings(): Findings
    {
        return Findings::none()->and(...array_map(static fn (Joint $joint): Findings => $joint->findings, $this->joints->all))->and($this->boxFindings, $this->chainFindings, $this->order->findings);
    }

    public function latency(): LatencyBudget
    {
        return new LatencyBudget(array_map(static fn (Joint $joint) => $joint->stage, $this->joints->all));
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

    public function jsonSerialize(): \stdClass
    {
        return (object) [
            'boxes' => $this->ids(),
            'links' => array_map(static fn (Joint $joint): \stdClass => (object) [
                'from' => $joint->from->id(),
                'to' => $joint->to->id(),
                'via' => $joint->via,
                'settings' => (object) $joint->link,
            ], $this->joints->all),
            'settings_to_change' => $this->changes(),
            'findings' => $this->findings(),
            'telemetry' => $this->telemetry,
            'latency_ms' => $this->latency()->delay(),
        ];
    }
}
