<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Chain\PathRules;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Place;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\ToldSupply;
use Linguator\Core\Supply\Supply;

/** What powers what in a rig. */
final readonly class PowerTable
{
    public function __construct(private RigDocument $rig)
    {
    }

    /** @return list<PowerRow> */
    public function rows(): array
    {
        return [...$this->inBay(), ...$this->onTheirOwn(), ...$this->inCraft()];
    }

    /** @return list<PowerRow> */
    private function inBay(): array
    {
        $handset = $this->rig->boxes->handset();
        $module = $this->rig->boxes->at(1);
        $joint = $this->rig->chain()->joints()[0] ?? null;
        if ($handset === null || ! $module instanceof Module || $joint?->output?->place !== Place::Bay) {
            return [];
        }
        $pack = $this->rig->pack();
        $supply = is_float($handset->baySupply) ? Supply::fixed($handset->baySupply) : ($handset->baySupply === 'pack' ? $pack?->supply() : null);
        $from = is_float($handset->baySupply) ? "bay of $handset->name, $handset->baySupply V" : "bay of $handset->name, ".($pack?->label() ?? 'pack not known');

        return [PowerRow::of($module->id, $module->name, $from, $module->supply, $supply)];
    }

    /**
     * What neither the bay nor the craft feeds: a module on a lead, and a relay's receiver and module.
     *
     * @return list<PowerRow>
     */
    private function onTheirOwn(): array
    {
        $bay = array_map(static fn (PowerRow $row): string => $row->box, $this->inBay());
        $rows = [];
        foreach (array_slice($this->rig->boxes->all, 1, max(0, ($this->rig->boxes->lastReceiverAt() ?? 1) - 1)) as $box) {
            if (($box instanceof Module || $box instanceof Receiver) && ! in_array($box->id(), $bay, true)) {
                $told = ToldSupply::of($this->rig, $box->id());
                $rows[] = PowerRow::of($box->id(), $box->name(), $told->label ?? 'not said', $box->supply, $told?->supply, true);
            }
        }

        return $rows;
    }

    /** @return list<PowerRow> */
    private function inCraft(): array
    {
        $craft = $this->rig->boxes->craft();
        $pack = $this->rig->craftPack();
        $supply = $pack?->supply() ?? ($craft?->feedsV === null ? null : Supply::fixed($craft->feedsV));
        $from = match (true) {
            $pack !== null => $pack->label(),
            $craft?->feedsV !== null => "{$craft->name()}, $craft->feedsV V",
            default => 'not known',
        };
        $rows = [];
        foreach (array_slice($this->rig->boxes->all, $this->rig->boxes->lastReceiverAt() ?? count($this->rig->boxes), -1) as $box) {
            // A regulator or a pack of its own stands between this box and what feeds the rest.
            $told = ToldSupply::of($this->rig, $box->id());
            $rows[] = PowerRow::of($box->id(), $box->name(), $told->label ?? $from, PathRules::supplyOf($box), $told->supply ?? $supply, true);
        }

        return $rows;
    }
}
