<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** Tests that look at the boxes themselves: plugs, meters, settings, a capture, a swapped wire. */
final readonly class BoxTests
{
    public function __construct(private Sight $sight)
    {
    }

    /** Null: it is not one of these. */
    public function see(string $test): ?Seen
    {
        return match ($test) {
            'supply_at_receiver' => new Seen($this->supply()->value),
            'plug_orientation' => $this->if(Oddity::PlugTurned, 'wrong', 'ok'),
            'errors_but_craft_fine' => $this->if(Oddity::ReaderTooSlow, 'yes', 'no'),
            'lower_rate' => $this->if(Oddity::ReaderTooSlow, 'helps', 'same'),
            'other_model_memory' => $this->if(Oddity::OtherMemory, 'works', 'same'),
            'radio_in_use' => $this->if(Oddity::OtherRadio, 'other', 'as_planned'),
            'bay_format_setting' => $this->if(Oddity::OtherBayFormat, 'other', 'as_planned'),
            'receiver_number' => new Seen($this->world()->has(Oddity::OtherNumber) || $this->world()->has(Oddity::OtherMemory) ? 'differs' : 'same'),
            'firmware_generations' => new Seen($this->world()->isPartedBy(LinkTrouble::Firmware) ? 'differ' : 'same'),
            'protocol_setting' => new Seen($this->world()->isPartedBy(LinkTrouble::Family) ? 'other' : 'as_planned'),
            'capture_at_receiver_output' => $this->capture(),
            'input_port_setting' => $this->if(Oddity::OtherPort, 'other', 'as_planned'),
            'controller_format_setting' => $this->if(Oddity::OtherFormat, 'other', 'as_planned'),
            'trims' => $this->if(Oddity::TrimOff, 'off', 'centred'),
            'recalibrate_sticks' => $this->if(Oddity::CalibrationBad, 'helps', 'same'),
            'swap_servo_or_wire' => $this->if(Oddity::WireBroken, 'follows_wire', 'stays'),
            'motor_start_resets_receiver' => $this->if(Oddity::Sags, 'yes', 'no'),
            'antenna_seen' => $this->if(Oddity::AntennaDamaged, 'damaged', 'sound'),
            'mix_weights' => new Seen($this->isWeightNegative() ? 'negative' : 'positive'),
            default => null,
        };
    }

    private function world(): World
    {
        return $this->sight->circuit->world;
    }

    private function if(Oddity $oddity, string $so, string $else): Seen
    {
        return new Seen($this->world()->has($oddity) ? $so : $else);
    }

    private function supply(): Feed
    {
        $receiver = $this->sight->rig()->boxes->lastReceiver();

        return $receiver === null ? Feed::None : $this->world()->feed($receiver->id);
    }

    /** What leaves the craft's receiver, probe on signal and ground. */
    private function capture(): Seen
    {
        $at = (int) $this->sight->rig()->boxes->lastReceiverAt();
        $coupling = $this->sight->run(Controls::resting())->couplings()[$at] ?? null;
        $way = $this->sight->circuit->way($at);

        return new Seen(match (true) {
            $coupling === null || ! $coupling->isHeard() => 'nothing',
            $this->world()->has(Oddity::LineFlipped) => 'inverted',
            $way instanceof WireWay && $way->isTrain() && $this->world()->has(Oddity::TrainAmbiguous) => 'ambiguous',
            default => 'as_planned',
        });
    }

    private function isWeightNegative(): bool
    {
        foreach ($this->sight->rig()->settings()->nodes('channels') as $entry) {
            if ($entry->number('weight', 100.0) < 0 || $entry->number('mix_weight', 100.0) < 0) {
                return true;
            }
        }

        return false;
    }
}
