<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Gear\Module;
use Linguator\Core\Rig\ThresholdSettings;

/** Which tests can be made on a rig. */
final readonly class FitTests
{
    private const SIXTEEN = '1-16';

    public function __construct(private Sight $plan)
    {
    }

    /** Why a test cannot be made on it; null: it can. */
    public function missing(string $test): ?string
    {
        $needs = Knowledge::shipped()->tests[$test]->needs ?? null;
        if (! Probe::partsOf($this->plan->rig())->have($needs)) {
            return "there is no $needs.";
        }

        return match ($test) {
            'arm_value_in_window', 'arming_block_reported', 'arms' => $this->arming($test),
            'throttle_lowest' => $this->plan->rig()->functions()?->namesStick() === true && ! $this->plan->rig()->functions()->has('throttle') ? 'it has no throttle.' : null,
            'bay_format_setting' => $this->plan->rig()->boxes->at(1) instanceof Module ? null : 'the handset feeds no module.',
            'input_port_setting', 'controller_format_setting' => $this->plan->circuit->isControllerOnOneWire() ? null : 'no controller reads one wire.',
            'bind_fixed_variant' => str_contains($this->lastVia(), '/') ? null : 'its family has no variants.',
            'bind_with_sixteen_channels' => $this->canSixteen() ? null : 'its link has no sixteen channels.',
            'switch_moves_other_channels' => $this->plan->rig()->handset()->switches() === [] ? 'its handset has no switch.' : null,
            default => null,
        };
    }

    private function arming(string $test): ?string
    {
        return match (true) {
            Armed::of($this->plan->circuit) === null => 'no switch of it arms through a window.',
            $test !== 'arm_value_in_window' && ThresholdSettings::of($this->plan->rig())->low === null => 'no low threshold is known.',
            default => null,
        };
    }

    private function lastVia(): string
    {
        $boxes = $this->plan->rig()->boxes;
        $sender = $boxes->at((int) $boxes->lastReceiverAt() - 1);

        return $sender === null ? '' : $this->plan->rig()->recordedVia($sender->id(), $boxes->lastReceiver()->id ?? '') ?? '';
    }

    private function canSixteen(): bool
    {
        $boxes = $this->plan->rig()->boxes;
        $way = $this->plan->circuit->way((int) $boxes->lastReceiverAt() - 1);
        $receiver = $boxes->lastReceiver();

        return $way instanceof AirWay && in_array(self::SIXTEEN, $way->modes, true) && in_array(self::SIXTEEN, $receiver->channelModes ?? [self::SIXTEEN], true);
    }
}
