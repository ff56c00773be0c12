<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Rig\ThresholdSettings;
use Linguator\Core\Rig\WindowSetting;
use Linguator\Core\Switching\Window;

/** Whether the controller arms with what it reads, and what keeps it from it. */
final readonly class Arming
{
    public function __construct(private Run $run, private Craft $craft, private Controls $controls)
    {
    }

    public function state(): ControllerState
    {
        $windows = array_map(fn (WindowSetting $entry): WindowState => new WindowState($entry->window->name, $this->isInside($entry)), $this->run->circuit->rig()->windows());

        return new ControllerState($windows, $this->isArmed(), $this->refusal());
    }

    private function isArmed(): ?bool
    {
        $window = $this->window();
        if ($window === null || $this->thresholds()->low === null) {
            return null;
        }

        return $this->isInside($window) && $this->isThrottleLow() && ! $this->run->circuit->world->has(Oddity::Interlocked);
    }

    private function refusal(): ?Refusal
    {
        $window = $this->window();

        return match (true) {
            $this->run->circuit->world->has(Oddity::Interlocked) => Refusal::Angle,
            $window !== null && $this->isWanted($window) && ! $this->isInside($window) => Refusal::Window,
            $this->thresholds()->isLow($this->craft->us(Letter::Throttle->functionName())) === false => Refusal::Throttle,
            default => null,
        };
    }

    private function window(): ?WindowSetting
    {
        return $this->run->circuit->rig()->window(Window::ARM);
    }

    private function isInside(WindowSetting $entry): bool
    {
        $us = $this->craft->onChannel($entry->channel);

        return $us !== null && $entry->window->contains($us);
    }

    /** Whether the switch on this window's channel stands where it should be inside. */
    private function isWanted(WindowSetting $entry): bool
    {
        $switch = $this->craft->switchOn($entry->channel)?->switch;

        return $switch !== null && in_array($this->controls->position($switch->id), $entry->window->wanted, true);
    }

    private function isThrottleLow(): bool
    {
        return $this->thresholds()->isLow($this->craft->us(Letter::Throttle->functionName())) === true;
    }

    private function thresholds(): ThresholdSettings
    {
        return ThresholdSettings::of($this->run->circuit->rig());
    }
}
