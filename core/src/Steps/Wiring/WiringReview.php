<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Standing;
use Linguator\Core\Supply\Antenna;

/** Every wire of a rig, what powers what, where antennas go, and the sequence of switching on. */
final readonly class WiringReview
{
    /** Where it is kept that all is wired: the box and the setting of `done`. */
    public const DONE = ['rig', 'wiring'];

    /** @var list<Wire> */
    public array $wires;

    /** @var list<PowerRow> */
    public array $power;

    public function __construct(private RigDocument $rig, OrderReview $order)
    {
        $this->wires = (new WireTable($rig, $order))->wires();
        $this->power = (new PowerTable($rig))->rows();
    }

    /** A short mark that changes when any wire of the table does. */
    public function fingerprint(): string
    {
        $wires = array_map(static fn (Wire $wire): array => array_map(
            static fn (WireRow $row): array => [$row->from, $row->to, $wire->kind->value, $wire->format, $row->carries, $row->channel],
            $wire->rows,
        ), $this->wires);

        return substr(hash('sha256', (string) json_encode($wires)), 0, 12);
    }

    /** Whether somebody has said that everything is wired as it stands now. */
    public function isWired(): bool
    {
        return $this->rig->isDone(self::DONE[0], self::DONE[1], $this->fingerprint());
    }

    public function row(string $key): ?WireRow
    {
        foreach ($this->wires as $wire) {
            foreach ($wire->rows as $row) {
                if ($row->key === $key) {
                    return $row;
                }
            }
        }

        return null;
    }

    public function standing(): Standing
    {
        if (! $this->rig->chain()->joins()) {
            return Standing::open('Wires are known once the chain joins.');
        }
        foreach ($this->power as $row) {
            if ($row->severity === Severity::Stop) {
                return Standing::stop($row->message);
            }
        }

        return $this->leftovers()->standing() ?? Standing::done('Wired as in the table.');
    }

    /** What is fed wrongly, what is driven by no channel, and whether it is wired as it stands now. */
    public function leftovers(): Leftovers
    {
        if (! $this->rig->chain()->joins()) {
            return Leftovers::of($this->rig);
        }

        return Leftovers::of(
            $this->rig,
            ...array_values(array_filter(array_map(static fn (PowerRow $row): ?Leftover => $row->code !== null && $row->severity === Severity::Fix ? Leftover::toMend(StepKey::Wiring, $row->code, $row->message) : null, $this->power))),
            ...array_map(static fn (string $function): Leftover => Leftover::open(StepKey::Wiring, $function, ucfirst($function).' has no channel yet, so nothing drives it.', StepKey::Path->value), $this->withoutChannel()),
            ...match (true) {
                $this->isWired() => [],
                $this->wasWiredOtherwise() => [Leftover::attention(StepKey::Wiring, 'table', 'The wiring table has changed since it was wired.')],
                default => [Leftover::open(StepKey::Wiring, 'table', 'Wire it as in the table.')],
            },
        );
    }

    /** @return list<string> Functions with a plug of their own, and no channel to plug it into. */
    private function withoutChannel(): array
    {
        $byId = array_column(array_map(static fn (Box $box): array => [$box->id(), $box], $this->rig->boxes->all), 1, 0);
        $pins = array_filter($this->wires, static fn (Wire $wire): bool => $wire->kind === WireKind::Pins && $byId[$wire->to] instanceof ServoSet && ! $byId[$wire->from] instanceof Controller);
        $rows = array_filter(array_merge(...array_map(static fn (Wire $wire): array => $wire->rows, array_values($pins))), static fn (WireRow $row): bool => $row->channel === null);

        return array_values(array_map(static fn (WireRow $row): string => $row->carries, $rows));
    }

    public function shown(): WiringView
    {
        return new WiringView($this->wires, $this->power, $this->antennas(), $this->antennaPlaces(), $this->switchOn(), $this->fingerprint(), $this->isWired(), $this->range());
    }

    public function range(): RangeMeaning
    {
        return RangeMeaning::of($this->rig);
    }

    /** @return list<string> The sequence of switching on and off; empty without a chain. */
    public function switchOn(): array
    {
        $boxes = $this->rig->boxes;
        $handset = $boxes->at(0);
        if ($handset === null) {
            return [];
        }
        $steps = ['Propellers off, or wheels and hull clear.', 'Every antenna is fitted.', "On: {$handset->name()} first".self::withModule($boxes->at(1), ', with ').'.'];
        foreach ($boxes->hops() as $position) {
            if ($position !== $boxes->lastReceiverAt()) {
                $steps[] = 'Then the relay: '.$boxes->all[$position]->name().self::withModule($boxes->at($position + 1), ' with ').'.';
            }
        }

        return [...$steps, "Then the craft. Off: the craft first, {$handset->name()} last."];
    }

    private static function withModule(?Box $box, string $with): string
    {
        return $box instanceof Module ? $with.$box->name : '';
    }

    /** @return list<AntennaPlace> */
    private function antennaPlaces(): array
    {
        if ($this->antennas() === []) {
            return [];
        }
        $told = $this->rig->settings()->textOrNull('antenna');

        return array_map(static fn (AntennaSchool $school): AntennaPlace => new AntennaPlace($school->place(), $school->price(), $school->place() === $told), AntennaSchool::cases());
    }

    private function wasWiredOtherwise(): bool
    {
        return ! $this->isWired() && ($this->rig->settings()->node('done')?->has(implode('/', self::DONE)) ?? false);
    }

    /** @return list<AntennaNote> */
    private function antennas(): array
    {
        $notes = [];
        foreach ($this->rig->chain()->joints() as $joint) {
            if ($joint->sent === null) {
                continue;
            }
            $f = $joint->sent->fMhz ?? $joint->heard?->fMhz;
            $quarter = $f === null ? null : round(Antenna::quarterWaveMm($f), 1);
            if ($joint->from instanceof Module || AirJoiner::radiosOf($joint->from) !== []) {
                $notes[] = new AntennaNote($joint->from->id(), $f, $quarter, "{$joint->from->name()}: antenna fitted before it gets power.");
            }
            $notes[] = new AntennaNote($joint->to->id(), $f, $quarter, "{$joint->to->name()}: the bare tip"
                .($quarter === null ? '' : " ($quarter mm)").' is what listens. At least 50 mm from carbon, motor and wiring, out of the propellers; a second one at 90°.');
        }

        return $notes;
    }
}
