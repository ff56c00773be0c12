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
            $output->plug?->pins,
            $input->plug?->pins,
            self::caution($joint, $output, $input),
        );
    }

    private static function caution(Joint $joint, OutputPort $output, InputPort $input): ?string
    {
        $wrong = $output->plug === null || $input->plug === null ? null : $output->plug->straightInto($input->plug);

        return $wrong === null ? null : "Between {$joint->from->name()} and {$joint->to->name()} $wrong: move the pins in one plug before anything is powered.";
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
            Place::Wire => $output->pin !== null ? "pin $output->pin" : $output->labels[0] ?? ($output->format->id === 'ppm' ? 'pulse train output' : 'serial output'),
        };
    }

    /** @return list<WireRow> */
    private function toServos(Joint $joint, OutputPort $output, ServoSet $servos): array
    {
        $rows = [];
        $counts = array_count_values($servos->functions);
        $pins = $this->pins($output, array_keys($counts));
        foreach ($counts as $function => $count) {
            $channel = $this->order->channelOf($function);
            $rows[] = $this->row($joint, self::pin($output, $channel, $pins), self::plug($function, $count), $function, $channel, self::pinNote($output, $channel, $count));
        }
        usort($rows, static fn (WireRow $a, WireRow $b): int => strnatcmp($a->fromPin, $b->fromPin));

        return $rows;
    }

    /** @return list<WireRow> The sticks, and every other function told: a mode or a gain has an input of its own too. */
    private function toController(Joint $joint, OutputPort $output, Controller $controller): array
    {
        $rows = [];
        // A craft steers with fewer than four sticks where those told are fewer.
        $sticks = array_filter(array_map(static fn (Letter $letter): string => $letter->functionName(), Letter::cases()), fn (string $stick): bool => $this->rig->functions() === null || $this->order->channelOf($stick) !== null);
        $functions = [...$sticks, ...$this->others()];
        $pins = $this->pins($output, $functions);
        foreach ($functions as $function) {
            $channel = $this->order->channelOf($function);
            $isPast = $function === Letter::Throttle->functionName() && $controller->passesThrottle === false;
            $rows[] = $isPast
                ? $this->row($joint, self::pin($output, $channel, $pins), 'speed controller, past '.$controller->name, $function, $channel, self::pinNote($output, $channel, 1), $this->rig->boxes->craft()?->id())
                : $this->row($joint, self::pin($output, $channel, $pins), "$function input", $function, $channel, self::pinNote($output, $channel, 1));
        }

        return $rows;
    }

    /** @return list<string> Functions told beside the four sticks. */
    private function others(): array
    {
        $others = [];
        foreach ($this->rig->functions() ?? [] as $entry) {
            if (Letter::ofFunction($entry->function) === null) {
                $others[] = $entry->function;
            }
        }

        return $others;
    }

    /** @return list<WireRow> An output each, with its number, where the controller has enough of them; else two servos share one. */
    private function fromController(Joint $joint, Controller $controller, ServoSet $servos): array
    {
        $driven = array_values(array_filter($servos->functions, static fn (string $function): bool => $function !== Letter::Throttle->functionName() || $controller->passesThrottle !== false));
        if ($controller->pins === null || $controller->pins < count($driven)) {
            return array_map(fn (string $function, int $count): WireRow => $this->row($joint, "$function output", self::plug($function, $count), $function, note: $count > 1 ? "$count servos by a Y lead" : null), array_keys(array_count_values($driven)), array_count_values($driven));
        }
        $rows = [];
        $seen = [];
        foreach ($driven as $k => $function) {
            $seen[$function] = ($seen[$function] ?? 0) + 1;
            $name = $seen[$function] === 1 ? $function : "$function $seen[$function]";
            $rows[] = $this->row($joint, 'output '.($k + 1).", set to $function", self::plug($function, 1), $name);
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

    /**
     * @param  list<string>  $functions
     * @return array<int, int> Pin by channel, of those on another pin than their own.
     */
    private function pins(OutputPort $output, array $functions): array
    {
        return $output->pinsFor(array_values(array_filter(array_map(fn (string $function): ?int => $this->order->channelOf($function), $functions), is_int(...))));
    }

    /** @param  array<int, int>  $pins  Pins set to other channels than their own, by channel. */
    private static function pin(OutputPort $output, ?int $channel, array $pins = []): string
    {
        if ($channel === null) {
            return 'no channel yet';
        }
        $pin = $pins[$channel] ?? $channel;
        $label = $output->labels[$pin - 1] ?? null;

        return $output->remappable && $pin > ($output->pins ?? 0)
            ? "any pin, set to channel $channel"
            : "pin $pin".($label === null ? '' : ", marked $label").($pin === $channel ? '' : ", set to channel $channel");
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
