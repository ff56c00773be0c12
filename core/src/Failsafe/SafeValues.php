<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Switching\Window;

/**
 * What to store in a receiver for the loss of its link, channel by channel, and how the controls are then held.
 *
 * A craft that holds its position and has a return window comes home: its mode in that window, the throttle near hover, and the arm switch as it is
 * in flight, since a craft that disarms on its way falls. Every other one has its motor off, sticks centred, switches as at power-up.
 */
final readonly class SafeValues
{
    /** Of the throttle's travel: near hover. */
    private const HOVER = 0.5;

    /**
     * @param  list<SafeValue>  $all  By channel.
     * @param  string|null  $throttle  Where a throttle is held of which nobody can tell the channel; null: it is among them, or there is none.
     */
    private function __construct(public array $all, private ?string $throttle)
    {
    }

    /** @param  int  $hop  From 1. */
    public static function of(RigDocument $rig, int $hop): self
    {
        $position = $rig->boxes->receiverAt($hop) ?? 0;
        $trace = $rig->chain()->trace();
        $sticks = new ThrottleChannel($rig);
        $throttle = $sticks->throttleAt($hop);
        $windows = self::windows($rig, $position);
        $comesHome = $rig->holdsPosition() && self::named($windows, Window::RETURN) !== [];
        $values = [];
        $name = Letter::Throttle->functionName();
        $isTold = $rig->functions()?->has($name) ?? false;
        // A throttle that nobody told leaves by the order all the same.
        $untold = $sticks->hasThrottle() && ! $isTold ? $sticks->throttle() : null;
        foreach ([...($rig->functions()->all ?? []), ...($untold === null ? [] : [new FunctionChannel($name, $untold)])] as $entry) {
            $isThrottle = $entry->function === $name;
            $channel = ($isThrottle ? $throttle : $trace->forth($entry->channel, $position)) ?? $entry->channel;
            $values[] = match (true) {
                $isThrottle => self::throttle($rig, $entry, $channel, $comesHome),
                $entry->isAuxiliary() => self::auxiliary($rig, $entry, $channel, $comesHome ? [...self::named($windows, Window::RETURN), ...self::named($windows, Window::ARM)] : []),
                default => new SafeValue($channel, $entry->function, (new ChannelRecord($rig, $entry->channel))->endsOrUsual()->mid, ''),
            };
        }
        usort($values, static fn (SafeValue $a, SafeValue $b): int => $a->channel <=> $b->channel);

        $isUnknown = $sticks->hasThrottle() && ! $isTold && $untold === null;

        return new self($values, $isUnknown ? ($comesHome ? 'throttle at half' : ($rig->motorOffAtCentre() ? 'throttle in the middle' : 'throttle low')) : null);
    }

    /** How the controls are held: `throttle low, mode in position 3 (2012 µs), everything else in its middle`. */
    public function sentence(): string
    {
        $told = array_values(array_filter([$this->throttle, ...array_map(static fn (SafeValue $value): string => $value->words, $this->all)]));

        return $told === [] ? 'everything in its middle' : implode(', ', [...$told, 'everything else in its middle']);
    }

    private static function throttle(RigDocument $rig, FunctionChannel $entry, int $channel, bool $comesHome): SafeValue
    {
        $record = new ChannelRecord($rig, $entry->channel);
        $ends = $record->endsOrUsual();
        if ($comesHome) {
            $us = Steps::clean(round($ends->lo + self::HOVER * ($ends->hi - $ends->lo), 1));

            return new SafeValue($channel, $entry->function, $us, sprintf('throttle at half (%g µs)', $us));
        }
        if ($rig->motorOffAtCentre()) {
            return new SafeValue($channel, $entry->function, $ends->mid, sprintf('throttle in the middle (%g µs)', $ends->mid));
        }
        $low = $record->now()->reversed ? $ends->hi : $ends->lo;

        return new SafeValue($channel, $entry->function, $low, sprintf('throttle low (%g µs)', $low));
    }

    /** @param  list<array{int, Window}>  $wanted  Windows that it must be in, with the channel they are on. */
    private static function auxiliary(RigDocument $rig, FunctionChannel $entry, int $channel, array $wanted): SafeValue
    {
        $switch = $rig->switchOf($entry->function);
        foreach ($wanted as [$on, $window]) {
            if ($on === $channel) {
                return self::inside($entry, $channel, $switch, $window);
            }
        }
        $us = $switch?->offUs() ?? Pulse::CENTRE_US;

        return new SafeValue($channel, $entry->function, $us, $switch === null ? '' : sprintf('%s in position %d (%g µs)', $entry->function, min($switch->levels()->count(), max(1, $switch->powerUp)), $us));
    }

    private static function inside(FunctionChannel $entry, int $channel, ?SwitchSetting $switch, Window $window): SafeValue
    {
        foreach ($switch?->levels()->levels ?? [] as $level) {
            if ($window->contains($level->us)) {
                return new SafeValue($channel, $entry->function, $level->us, sprintf('%s in position %d (%g µs)', $entry->function, $level->position, $level->us));
            }
        }
        $middle = ($window->lo + $window->hi) / 2;

        return new SafeValue($channel, $entry->function, $middle, sprintf('%s inside "%s" (%g µs)', $entry->function, $window->name, $middle));
    }

    /** @return list<array{int, Window}> Windows of the controller by the channel on which this receiver feeds them. */
    private static function windows(RigDocument $rig, int $position): array
    {
        $windows = [];
        foreach ($rig->windows() as $entry) {
            $channel = $rig->chain()->trace()->back($entry->channel, $position);
            if ($channel !== null) {
                $windows[] = [$channel, $entry->window];
            }
        }

        return $windows;
    }

    /**
     * @param  list<array{int, Window}>  $windows
     * @return list<array{int, Window}>
     */
    private static function named(array $windows, string $name): array
    {
        return array_values(array_filter($windows, static fn (array $entry): bool => $entry[1]->name === $name));
    }
}
