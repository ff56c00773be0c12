<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Channel\Functions;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ServoRange;

/** What of a rig decides its travel: the handset's scale, what reads the channels, the servos, and the school followed. */
final readonly class TravelContext
{
    public HandsetTravel $handset;

    /** It acts on the values, and its thresholds count; null: there is none. */
    public ?Controller $controller;

    public function __construct(public RigDocument $rig)
    {
        $this->handset = $rig->handset()->travel();
        $this->controller = $rig->boxes->controller();
    }

    /**
     * Channels that move with a stick: the four of the functions told, and servos that no switch carries; else the four sticks.
     *
     * @return array<int, string> Function by handset channel.
     */
    public function channels(): array
    {
        $channels = [];
        foreach ($this->rig->functions() ?? [] as $entry) {
            $letter = Letter::ofFunction($entry->function);
            if ($letter !== null) {
                $channels[$this->rig->handsetOrder()?->channelOf($letter) ?? $entry->channel] = $entry->function;
            } elseif ($this->isServo($entry->function) && $this->rig->switchOf($entry->function) === null) {
                $channels[$entry->channel] = $entry->function;
            }
        }
        if ($channels === []) {
            foreach ($this->rig->handsetOrder()?->letters() ?? [] as $k => $letter) {
                $channels[$k + 1] = $letter->functionName();
            }
        }
        ksort($channels);

        return $channels;
    }

    /** @return list<ServoOnSwitch> Servos that a switch, slider or knob drives. */
    public function servosOnSwitches(): array
    {
        $switches = array_filter($this->rig->switches(), fn (SwitchSetting $switch): bool => $this->isServo($switch->function) || $this->servos($switch->function)->isKnown());

        return array_values(array_map(fn (SwitchSetting $switch): ServoOnSwitch => new ServoOnSwitch($switch, $this->servos($switch->function)), $switches));
    }

    public function school(): School
    {
        return $this->controller === null ? School::Match : School::tryFrom($this->rig->settings()->textOrNull('school') ?? '') ?? School::Match;
    }

    public function centring(): Centring
    {
        return $this->controller === null ? Centring::Subtrim : Centring::tryFrom($this->rig->settings()->textOrNull('centring') ?? '') ?? Centring::Subtrim;
    }

    /** What all servos of a function stand together. */
    public function servos(string $function): ServoRange
    {
        $range = new ServoRange(null, null);
        $craft = $this->rig->cards === [] ? null : $this->rig->cards[count($this->rig->cards) - 1];
        foreach ($craft?->node()->nodes('servos') ?? [] as $servo) {
            if ($servo->text('function') === $function) {
                $range = $range->and(new ServoRange($servo->numberOrNull('safe_lo_us'), $servo->numberOrNull('safe_hi_us')));
            }
        }

        return $range;
    }

    /** Whether its middle matters: a throttle has no spring, except where its middle stops the motor. */
    public function centres(string $function): bool
    {
        return $function !== Letter::Throttle->functionName() || $this->rig->motorOffAtCentre();
    }

    /** The school that leaves the handset as it is and sets the reader's range. */
    public function leavesHandset(): bool
    {
        return $this->school() === School::Leave;
    }

    public function centresInController(): bool
    {
        return $this->centring() === Centring::Controller;
    }

    /** Where the lowest, middle and highest value of a channel should be. */
    public function target(int $channel, string $function): Reading
    {
        return $this->ownTarget($channel) ?? $this->servoTarget($function) ?? Reading::usual();
    }

    public function targetWhy(int $channel, string $function): string
    {
        $servo = $this->servoTarget($function);

        return match (true) {
            $this->ownTarget($channel) !== null => 'as you set it',
            $servo !== null => sprintf('what the servo can take, %g to %g µs', $servo->lo, $servo->hi),
            $this->controller !== null => "what {$this->controller->name} expects",
            default => 'the usual range of a servo',
        };
    }

    private function ownTarget(int $channel): ?Reading
    {
        $own = $this->rig->settings()->node('targets')?->numbersOrNull((string) $channel) ?? [];
        try {
            return count($own) === 3 ? Reading::of($own[0], $own[1], $own[2]) : null;
        } catch (DocumentError) {
            return null;
        }
    }

    private function servoTarget(string $function): ?Reading
    {
        $servos = $this->servos($function);
        $lo = $servos->lo ?? Pulse::LOW_US;
        $hi = $servos->hi ?? Pulse::HIGH_US;

        return $this->controller === null && $servos->isKnown() && $lo < Pulse::CENTRE_US && $hi > Pulse::CENTRE_US ? Reading::of($lo, Pulse::CENTRE_US, $hi) : null;
    }

    private function isServo(string $function): bool
    {
        $craft = $this->rig->boxes->craft();

        return $craft instanceof ServoSet && in_array($function, $craft->functions, true);
    }
}
