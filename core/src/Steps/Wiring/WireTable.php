<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\InputPort;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\Place;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Steps\Path\CouplingFacts;

/** Every wire of a rig, plug by plug. */
final readonly class WireTable
{
    public function __construct(private RigDocument $rig, private OrderReview $order)
    {
    }

    /** @return list<Wire> */
    public function wires(): array
    {
        $wires = [];
        foreach ($this->rig->chain()->joints() as $joint) {
            if ($joint->output !== null && $joint->input !== null) {
                $wires[] = $this->wire($joint, $joint->output, $joint->input);
            }
        }

        return $wires;
    }

    private function wire(Joint $joint, OutputPort $output, InputPort $input): Wire
    {
        return new Wire(
            $joint->from->id(),
            $joint->from->name(),
            $joint->to->id(),
            $joint->to->name(),
            self::kind($output),
            $output->format->name,
            $output->polarity,
            $output->levelV,
            CouplingFacts::levelTaken($input),
            $this->rows($joint, $output),
        );
    }

    private static function kind(OutputPort $output): WireKind
    {
        return match (true) {
            $output->place === Place::Bay => WireKind::Bay,
            $output->place === Place::Trainer => WireKind::Trainer,
            $output->isPwm() => WireKind::Pins,
            default => WireKind::OneWire,
        };
    }

    /** @return list<WireRow> */
    private function rows(Joint $joint, OutputPort $output): array
    {
        return match (true) {
            ! $output->isPwm() => [$this->row($joint, self::socket($output), $this->inputOf($joint, $output), 'all channels')],
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

    private static function socket(OutputPort $output): string
    {
        return match ($output->place) {
            Place::Bay => 'module bay',
            Place::Trainer => 'trainer socket',
            Place::Wire => $output->labels[0] ?? ($output->format->id === 'ppm' ? 'pulse train output' : 'serial output'),
        };
    }

    /** @return list<WireRow> */
    private function toServos(Joint $joint, OutputPort $output, ServoSet $servos): array
    {
        $rows = [];
        foreach (array_count_values($servos->functions) as $function => $count) {
            $channel = $this->order->channelOf($function);
            $rows[] = $this->row($joint, self::pin($output, $channel), self::plug($function, $count), $function, $channel, self::pinNote($output, $channel, $count));
        }
        usort($rows, static fn (WireRow $a, WireRow $b): int => strnatcmp($a->fromPin, $b->fromPin));

        return $rows;
    }

    /** @return list<WireRow> */
    private function toController(Joint $joint, OutputPort $output, Controller $controller): array
    {
        $rows = [];
        foreach (Letter::cases() as $letter) {
            $function = $letter->functionName();
            $channel = $this->order->channelOf($function);
            $isPast = $letter === Letter::Throttle && $controller->passesThrottle === false;
            $rows[] = $isPast
                ? $this->row($joint, self::pin($output, $channel), 'speed controller, past '.$controller->name, $function, $channel, self::pinNote($output, $channel, 1), $this->rig->boxes->craft()?->id())
                : $this->row($joint, self::pin($output, $channel), "$function input", $function, $channel, self::pinNote($output, $channel, 1));
        }

        return $rows;
    }

    /** @return list<WireRow> */
    private function fromController(Joint $joint, Controller $controller, ServoSet $servos): array
    {
        $rows = [];
        foreach (array_count_values($servos->functions) as $function => $count) {
            if ($function !== Letter::Throttle->functionName() || $controller->passesThrottle !== false) {
                $rows[] = $this->row($joint, "$function output", self::plug($function, $count), $function);
            }
        }

        return $rows;
    }

    /** @return list<WireRow> */
    private function allPins(Joint $joint, OutputPort $output): array
    {
        $rows = [];
        for ($pin = 1; $pin <= min($output->pins ?? 0, $this->rig->channels()); $pin++) {
            $rows[] = $this->row($joint, self::pin($output, $pin), "input $pin", "channel $pin", $pin);
        }

        return $rows;
    }

    private function row(Joint $joint, string $fromPin, string $toPin, string $carries, ?int $channel = null, ?string $note = null, ?string $to = null): WireRow
    {
        $key = (string) preg_replace('/[^a-z0-9]+/', '-', strtolower("{$joint->from->id()}-$carries"));
        $colours = Colours::of($this->rig->settings()->node('colours')?->node($key));

        return new WireRow($key, $joint->from->id(), $fromPin, $to ?? $joint->to->id(), $toPin, $carries, $channel, $note, $colours);
    }

    private static function pin(OutputPort $output, ?int $channel): string
    {
        if ($channel === null) {
            return 'no channel yet';
        }
        $label = $output->labels[$channel - 1] ?? null;

        return $output->remappable && $channel > ($output->pins ?? 0)
            ? "any pin, set to channel $channel"
            : "pin $channel".($label === null ? '' : ", marked $label");
    }

    private static function pinNote(OutputPort $output, ?int $channel, int $count): ?string
    {
        return match (true) {
            $channel === null => 'Give this function a channel on the Path step.',
            ! $output->remappable && $output->pins !== null && $channel > $output->pins => "There is no pin $channel here.",
            $count > 1 => "$count servos by a Y lead",
            default => null,
        };
    }

    private static function plug(string $function, int $count): string
    {
        return ($function === Letter::Throttle->functionName() ? 'speed controller' : $function).($count > 1 ? ' plugs' : ' plug');
    }
}
