<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Functions;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;

/** What the craft gets: each function by what reads it, controller or pins. */
final readonly class Craft
{
    private RigDocument $rig;

    private ?Controller $controller;

    /** Where the channels are read. */
    private int $at;

    /** The pins that they are read from; null: they come on one wire. */
    private ?OutputPort $pins;

    public function __construct(private Run $run)
    {
        $this->rig = $run->circuit->rig();
        $this->controller = $this->rig->boxes->controller();
        $this->at = $run->circuit->readerAt();
        $this->pins = $run->circuit->readerPins();
    }

    /** @return list<CraftValue> */
    public function values(): array
    {
        return array_map(fn (FunctionChannel $entry): CraftValue => $this->value($entry), $this->functions()->all);
    }

    public function us(string $function): ?float
    {
        foreach ($this->functions() as $entry) {
            if ($entry->function === $function) {
                return $this->value($entry)->us;
            }
        }

        return null;
    }

    /** What the reader finds on one of its channels, µs; null: nothing. */
    public function onChannel(?int $channel): ?float
    {
        $came = $this->run->into($this->at);
        $input = $this->run->circuit->way($this->at - 1);

        return $channel === null || $came === null || $input === null || $came->isSilent === true || $this->isUnread() || $this->isCut($channel) ? null : $came->us[$channel - 1] ?? null;
    }

    /** Whether the flag for a lost link comes with what is read. */
    public function isFlagged(): bool
    {
        return $this->run->into($this->at)->isFlagged ?? false;
    }

    /** Of a controller that drives servos: its outputs, one for each servo. */
    public function drives(int $position): ?Coupling
    {
        $servos = $this->rig->boxes->at($position + 1);
        $way = $this->run->circuit->way($position);
        if ($this->controller === null || $position !== $this->at || ! $servos instanceof ServoSet || ! $way instanceof WireWay) {
            return null;
        }
        $driven = array_values(array_filter($servos->functions, fn (string $function): bool => ! $this->isPast($function)));
        $came = $this->run->sent($position);
        $silent = $came === null || $this->isUnread() ? null : ($came->isFlagged ? null : $came->isSilent);

        return $way->outputs($silent === true ? null : array_map($this->us(...), $driven), $silent);
    }

    /** What a controller does not pass has its servo in the receiver's own pin. */
    public function past(): ?Coupling
    {
        $receiverAt = $this->rig->boxes->lastReceiverAt();
        $receiver = $this->rig->boxes->lastReceiver();
        $servos = $this->rig->boxes->craft();
        $sent = $receiverAt === null ? null : $this->run->sent($receiverAt);
        if ($receiver === null || $sent === null || ! $servos instanceof ServoSet || ! $servos->hasThrottle() || ! $this->isPast(Letter::Throttle->functionName())) {
            return null;
        }

        return WireWay::pins($receiver, $servos)->coupling($sent->unflagged());
    }

    public function controller(Controls $controls): ?ControllerState
    {
        return $this->controller === null ? null : (new Arming($this->run, $this, $controls))->state();
    }

    /** The functions that were told; else those of the servos, else the four sticks. */
    public function functions(): Functions
    {
        $told = $this->rig->functions();
        if ($told !== null && $told->namesStick()) {
            return $told;
        }
        $craft = $this->rig->boxes->craft();
        $names = $told === null && $craft instanceof ServoSet && $craft->functions !== [] ? array_values(array_unique($craft->functions)) : array_map(static fn (Letter $letter): string => $letter->functionName(), Letter::cases());
        $entries = [];
        foreach ($names as $k => $name) {
            $letter = Letter::ofFunction($name);
            $channel = $letter === null ? $this->rig->switchOf($name)?->channel : HandsetOutput::channelOf($this->rig, $letter);
            $entries[] = new FunctionChannel($name, $channel ?? $k + 1);
        }

        // Who told auxiliaries alone has said nothing of the sticks.
        return Functions::of(...$entries)->and(...($told->all ?? []));
    }

    /** As the reader counts; null: it is not known where it arrives. */
    public function channelOf(string $function): ?int
    {
        foreach ($this->functions() as $entry) {
            if ($entry->function === $function) {
                return $this->channel($entry);
            }
        }

        return null;
    }

    private function value(FunctionChannel $entry): CraftValue
    {
        $channel = $this->channel($entry);
        $us = $this->isPast($entry->function) ? $this->pastUs($channel) : $this->onChannel($channel);
        $scale = $this->rig->handset()->scale();

        return new CraftValue($entry->function, $this->counted($channel), $us, $us === null ? null : Steps::clean($scale->percent($us)));
    }

    /** Of pins that can be set to any channel, the one that its plug is in. */
    private function counted(?int $channel): ?int
    {
        $inUse = $this->pins?->remappable === true ? array_values(array_filter(array_map($this->arrivesOn(...), $this->functions()->all), is_int(...))) : [];

        return $channel === null || $this->pins === null ? $channel : $this->pins->pinsFor($inUse)[$channel] ?? $channel;
    }

    /** The switch whose function is read on this channel; null: none, or a knob. */
    public function switchOn(int $channel): ?SwitchSetting
    {
        foreach ($this->rig->switches() as $switch) {
            if ($switch->switch !== null && ! $switch->isSlider() && $this->channelOf($switch->function) === $channel) {
                return $switch;
            }
        }

        return null;
    }

    private function channel(FunctionChannel $entry): ?int
    {
        $letter = Letter::ofFunction($entry->function);
        $reader = $this->run->circuit->trace()->reader;
        if ($this->pins === null && $letter !== null && $reader !== null) {
            return $reader->channelOf($letter);
        }
        $channel = $this->arrivesOn($entry);

        return $channel === null || ! $this->run->circuit->world->has(Oddity::PlugsExchanged) ? $channel : $this->exchanged($channel);
    }

    /** The channel on which it arrives; of a stick, by where the handset's order sends it. */
    private function arrivesOn(FunctionChannel $entry): ?int
    {
        $letter = Letter::ofFunction($entry->function);
        $from = $letter === null ? $entry->channel : HandsetOutput::channelOf($this->run->circuit->world->planned, $letter) ?? $entry->channel;

        return $this->run->circuit->planned()->forth($from, $this->at);
    }

    /** The first two plugs, each in the other's pin. */
    private function exchanged(int $channel): int
    {
        $plugs = array_values(array_filter(array_map($this->arrivesOn(...), $this->functions()->all), is_int(...)));
        sort($plugs);
        [$first, $second] = [$plugs[0] ?? $channel, $plugs[1] ?? $channel];

        return match ($channel) {
            $first => $second,
            $second => $first,
            default => $channel,
        };
    }

    private function isUnread(): bool
    {
        $world = $this->run->circuit->world;
        $isAController = $this->controller !== null && ($world->has(Oddity::OtherPort) || $world->has(Oddity::OtherFormat) || $world->has(Oddity::LineFlipped));

        return $isAController || ($this->pins === null && $world->has(Oddity::WireBroken));
    }

    private function isCut(int $channel): bool
    {
        $world = $this->run->circuit->world;
        $broken = $this->pins !== null && $world->has(Oddity::WireBroken) ? $world->concerned(Oddity::WireBroken) : null;

        return $broken !== null && $this->run->circuit->planned()->forth($broken, $this->at) === $channel;
    }

    private function isPast(string $function): bool
    {
        return $function === Letter::Throttle->functionName() && $this->controller !== null && $this->controller->passesThrottle === false;
    }

    private function pastUs(?int $channel): ?float
    {
        $sent = $this->run->sent((int) $this->rig->boxes->lastReceiverAt());

        return $channel === null || $sent === null || $sent->isSilent === true ? null : $sent->us[$channel - 1] ?? null;
    }
}
