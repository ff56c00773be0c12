<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\PathRules;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Place;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Supply\Antenna;
use Linguator\Core\Supply\PowerCheck;
use Linguator\Core\Supply\Supply;
use Linguator\Core\Supply\SupplyRange;

/**
 * Every wire of a rig, what powers what, where antennas go, and the sequence of switching on.
 *
 * @phpstan-type Row array{key: string, from: string, from_pin: string, to: string, to_pin: string, carries: string, channel: int|null, note: string|null, colours: array{signal: string, plus: string, ground: string}}
 * @phpstan-type Wire array{from: string, from_name: string, to: string, to_name: string, kind: string, format: string, polarity: string|null, level_v: float|null, takes: string, rows: list<Row>}
 * @phpstan-type PowerRow array{name: string, from: string, takes: string, low_v: float|null, full_v: float|null, severity: string, code: string|null, message: string}
 */
final readonly class WiringReview
{
    private function __construct(private RigDocument $rig, private ChainReview $chain, private OrderReview $order)
    {
    }

    public static function of(RigDocument $rig, ChainReview $chain, OrderReview $order): self
    {
        return new self($rig, $chain, $order);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'wires' => $this->wires(),
            'power' => $this->power(),
            'antennas' => $this->antennas(),
            'switch_on' => $this->switchOn(),
            'fingerprint' => $this->fingerprint(),
            'wired' => $this->isWired(),
        ];
    }

    /** A short mark that changes when any wire of the table does. */
    public function fingerprint(): string
    {
        $wires = array_map(static fn (array $wire): array => array_map(
            static fn (array $row): array => [$row['from'], $row['to'], $wire['kind'], $wire['format'], $row['carries'], $row['channel']],
            $wire['rows'],
        ), $this->wires());

        return substr(hash('sha256', (string) json_encode($wires)), 0, 12);
    }

    /** Whether somebody has said that everything is wired as it stands now. */
    public function isWired(): bool
    {
        return $this->rig->isDone('rig', 'wiring', $this->fingerprint());
    }

    public function wasWiredOtherwise(): bool
    {
        return ! $this->isWired() && ($this->rig->settings()->node('done')?->has('rig/wiring') ?? false);
    }

    /** @return list<Wire> */
    public function wires(): array
    {
        $wires = [];
        foreach ($this->chain->path->joints ?? [] as $joint) {
            if ($joint->output !== null && $joint->input !== null) {
                $wires[] = [
                    'from' => $joint->from->id(),
                    'from_name' => $joint->from->name(),
                    'to' => $joint->to->id(),
                    'to_name' => $joint->to->name(),
                    'kind' => $this->kind($joint->output),
                    'format' => $joint->output->format->name,
                    'polarity' => $joint->output->polarity,
                    'level_v' => $joint->output->levelV,
                    'takes' => CouplingFacts::of($joint)[2]['to'],
                    'rows' => $this->rows($joint, $joint->output),
                ];
            }
        }

        return $wires;
    }

    private function kind(OutputPort $output): string
    {
        return match (true) {
            $output->place === Place::Bay => 'bay',
            $output->place === Place::Trainer => 'trainer',
            $output->isPwm() => 'pins',
            default => 'one_wire',
        };
    }

    /** @return list<Row> */
    private function rows(Joint $joint, OutputPort $output): array
    {
        return match (true) {
            ! $output->isPwm() => [$this->row($joint, $this->socket($output), $this->inputOf($joint, $output), 'all channels')],
            $joint->from instanceof Controller && $joint->to instanceof ServoSet => $this->fromController($joint, $joint->from, $joint->to),
            $joint->to instanceof ServoSet => $this->toServos($joint, $output, $joint->to),
            $joint->to instanceof Controller => $this->toController($joint, $output, $joint->to),
            default => $this->allPins($joint, $output),
        };
    }

    private function inputOf(Joint $joint, OutputPort $output): string
    {
        return $output->place === Place::Bay ? 'its bay contacts' : (new SettingNames($this->rig))->name($joint->to->id(), 'input');
    }

    private function socket(OutputPort $output): string
    {
        return match ($output->place) {
            Place::Bay => 'module bay',
            Place::Trainer => 'trainer socket',
            Place::Wire => $output->labels[0] ?? ($output->format->id === 'ppm' ? 'pulse train output' : 'serial output'),
        };
    }

    /** @return list<Row> */
    private function toServos(Joint $joint, OutputPort $output, ServoSet $servos): array
    {
        $rows = [];
        foreach (array_count_values($servos->functions) as $function => $count) {
            $channel = $this->order->channelOf($function);
            $rows[] = $this->row($joint, $this->pin($output, $channel), $this->plug($function, $count), $function, $channel, $this->pinNote($output, $channel, $count));
        }
        usort($rows, static fn (array $a, array $b): int => strnatcmp($a['from_pin'], $b['from_pin']));

        return $rows;
    }

    /** @return list<Row> */
    private function toController(Joint $joint, OutputPort $output, Controller $controller): array
    {
        $rows = [];
        foreach (Letter::cases() as $letter) {
            $function = $letter->functionName();
            $channel = $this->order->channelOf($function);
            $isPast = $letter === Letter::Throttle && $controller->passesThrottle === false;
            $rows[] = $isPast
                ? $this->row($joint, $this->pin($output, $channel), 'speed controller, past '.$controller->name, $function, $channel, $this->pinNote($output, $channel, 1), $this->rig->craftBox()?->id())
                : $this->row($joint, $this->pin($output, $channel), "$function input", $function, $channel, $this->pinNote($output, $channel, 1));
        }

        return $rows;
    }

    /** @return list<Row> */
    private function fromController(Joint $joint, Controller $controller, ServoSet $servos): array
    {
        $rows = [];
        foreach (array_count_values($servos->functions) as $function => $count) {
            if ($function !== 'throttle' || $controller->passesThrottle !== false) {
                $rows[] = $this->row($joint, "$function output", $this->plug($function, $count), $function);
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private function allPins(Joint $joint, OutputPort $output): array
    {
        $rows = [];
        for ($pin = 1; $pin <= min($output->pins ?? 0, $this->rig->channels()); $pin++) {
            $rows[] = $this->row($joint, $this->pin($output, $pin), "input $pin", "channel $pin", $pin);
        }

        return $rows;
    }

    /** @return Row */
    private function row(Joint $joint, string $fromPin, string $toPin, string $carries, ?int $channel = null, ?string $note = null, ?string $to = null): array
    {
        $key = (string) preg_replace('/[^a-z0-9]+/', '-', strtolower("{$joint->from->id()}-$carries"));
        $colours = $this->rig->settings()->node('colours')?->node($key);

        return [
            'key' => $key,
            'from' => $joint->from->id(),
            'from_pin' => $fromPin,
            'to' => $to ?? $joint->to->id(),
            'to_pin' => $toPin,
            'carries' => $carries,
            'channel' => $channel,
            'note' => $note,
            'colours' => [
                'signal' => $colours?->textOrNull('signal') ?? '',
                'plus' => $colours?->textOrNull('plus') ?? '',
                'ground' => $colours?->textOrNull('ground') ?? '',
            ],
        ];
    }

    private function pin(OutputPort $output, ?int $channel): string
    {
        if ($channel === null) {
            return 'no channel yet';
        }
        $label = $output->labels[$channel - 1] ?? null;

        return $output->remappable && $channel > ($output->pins ?? 0)
            ? "any pin, set to channel $channel"
            : "pin $channel".($label === null ? '' : ", marked $label");
    }

    private function pinNote(OutputPort $output, ?int $channel, int $count): ?string
    {
        return match (true) {
            $channel === null => 'Give this function a channel on the Path step.',
            ! $output->remappable && $output->pins !== null && $channel > $output->pins => "There is no pin $channel here.",
            $count > 1 => "$count servos by a Y lead",
            default => null,
        };
    }

    private function plug(string $function, int $count): string
    {
        return ($function === 'throttle' ? 'speed controller' : $function).($count > 1 ? ' plugs' : ' plug');
    }

    /** @return list<PowerRow> */
    public function power(): array
    {
        return [...$this->powerInBay(), ...$this->powerInCraft()];
    }

    /** @return list<PowerRow> */
    private function powerInBay(): array
    {
        $handset = $this->rig->handset();
        $module = $this->rig->boxes[1] ?? null;
        $joint = $this->chain->path->joints[0] ?? null;
        if (! $handset instanceof Handset || ! $module instanceof Module || $joint?->output?->place !== Place::Bay) {
            return [];
        }
        $pack = $this->rig->pack();
        $supply = is_float($handset->baySupply) ? Supply::fixed($handset->baySupply) : ($handset->baySupply === 'pack' ? $pack?->supply() : null);
        $from = is_float($handset->baySupply) ? "bay of $handset->name, $handset->baySupply V" : "bay of $handset->name, ".($pack?->label() ?? 'pack not known');

        return [$this->fed($module->name, $from, $module->supply, $supply)];
    }

    /** @return list<PowerRow> */
    private function powerInCraft(): array
    {
        $craft = $this->rig->craftBox();
        $pack = $this->rig->craftPack();
        $supply = $pack?->supply() ?? ($craft?->feedsV === null ? null : Supply::fixed($craft->feedsV));
        $from = match (true) {
            $pack !== null => $pack->label(),
            $craft?->feedsV !== null => "{$craft->name()}, $craft->feedsV V",
            default => 'not known',
        };
        $rows = [];
        $last = $this->lastReceiver();
        foreach (array_slice($this->rig->boxes, $last ?? count($this->rig->boxes), -1) as $box) {
            $rows[] = $this->fed($box->name(), $from, PathRules::supplyOf($box), $supply);
        }

        return $rows;
    }

    private function lastReceiver(): ?int
    {
        $last = null;
        foreach ($this->rig->boxes as $k => $box) {
            $last = $box instanceof Receiver ? $k : $last;
        }

        return $last;
    }

    /** @return PowerRow */
    private function fed(string $name, string $from, SupplyRange $range, ?Supply $supply): array
    {
        $finding = $supply === null ? null : PowerCheck::voltage($name, $range, $supply);

        return [
            'name' => $name,
            'from' => $from,
            'takes' => $range->label(),
            'low_v' => $supply?->low,
            'full_v' => $supply?->full,
            'severity' => $finding->severity->value ?? ($supply === null || ! $range->isKnown() ? 'check' : 'ok'),
            'code' => $finding->code ?? null,
            'message' => $finding->message ?? ($supply === null ? 'What feeds it is not known.' : ($range->isKnown() ? 'Full and flat voltage both fit.' : 'What it takes is not known.')),
        ];
    }

    /** @return list<array{box: string, f_mhz: float|null, quarter_wave_mm: float|null, text: string}> */
    public function antennas(): array
    {
        $antennas = [];
        foreach ($this->chain->path->joints ?? [] as $joint) {
            if ($joint->sent === null) {
                continue;
            }
            $f = $joint->sent->fMhz ?? $joint->heard?->fMhz;
            $quarter = $f === null ? null : round(Antenna::quarterWaveMm($f), 1);
            if ($joint->from instanceof Module || AirJoiner::radiosOf($joint->from) !== []) {
                $antennas[] = ['box' => $joint->from->id(), 'f_mhz' => $f, 'quarter_wave_mm' => $quarter, 'text' => "{$joint->from->name()}: antenna fitted before it gets power."];
            }
            $antennas[] = ['box' => $joint->to->id(), 'f_mhz' => $f, 'quarter_wave_mm' => $quarter, 'text' => "{$joint->to->name()}: the bare tip"
                .($quarter === null ? '' : " ($quarter mm)").' is what listens. At least 50 mm from carbon, motor and wiring, out of the propellers; a second one at 90°.'];
        }

        return $antennas;
    }

    /** @return list<string> */
    public function switchOn(): array
    {
        $steps = ['Propellers off, or wheels and hull clear.', 'Every antenna is fitted.'];
        $names = array_map(static fn ($box): string => $box->name(), $this->rig->boxes);
        if ($this->rig->boxes === []) {
            return [];
        }
        $steps[] = "On: {$names[0]} first".(($this->rig->boxes[1] ?? null) instanceof Module ? ", with $names[1]" : '').'.';
        $last = $this->lastReceiver();
        foreach ($this->rig->boxes as $k => $box) {
            if ($box instanceof Receiver && $k !== $last) {
                $steps[] = "Then the relay: $names[$k]".(($this->rig->boxes[$k + 1] ?? null) instanceof Module ? " with {$names[$k + 1]}" : '').'.';
            }
        }
        $steps[] = 'Then the craft. Off: the craft first, '.$names[0].' last.';

        return $steps;
    }
}
