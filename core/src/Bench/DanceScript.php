<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Dance\Move;
use Linguator\Core\Dance\MoveKind;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;

/**
 * What to move in a rig, one control after the other: hands off, the four sticks, then switches and knobs in the order of their channels.
 * A throttle that springs to its middle is left out: a dance does not tell it from the other sticks. A short one asks for the sticks only, to see
 * whether what was entered came out.
 */
final readonly class DanceScript
{
    private const STICKS = [Letter::Throttle, Letter::Rudder, Letter::Elevator, Letter::Aileron];

    public function __construct(private RigDocument $rig, private bool $isShort = false)
    {
    }

    /** @return non-empty-list<Move> */
    public function moves(): array
    {
        $asked = array_filter(self::STICKS, fn (Letter $letter): bool => $letter !== Letter::Throttle || ! $this->rig->motorOffAtCentre());
        $sticks = array_map(Move::stick(...), array_values($asked));

        return [Move::rest(), ...$sticks, ...array_map(self::control(...), array_keys($this->controls()), array_values($this->controls())), Move::rest()];
    }

    /** @return non-empty-list<string> What somebody is asked, in the same order. */
    public function words(): array
    {
        return array_map(self::sentence(...), $this->moves());
    }

    /** @return array<string, SwitchSetting> By the id of the switch or knob; one that carries several functions is moved once. */
    private function controls(): array
    {
        $settings = $this->isShort ? [] : array_filter($this->rig->switches(), static fn (SwitchSetting $setting): bool => $setting->switch !== null);
        usort($settings, static fn (SwitchSetting $a, SwitchSetting $b): int => $a->channel <=> $b->channel);
        $controls = [];
        foreach ($settings as $setting) {
            $controls[$setting->switchId ?? ''] ??= $setting;
        }

        return $controls;
    }

    private static function control(string $id, SwitchSetting $setting): Move
    {
        return $setting->isSlider() ? Move::knob($id) : Move::switch($id, max(2, $setting->switch->positions ?? 2));
    }

    private static function sentence(Move $move): string
    {
        return match ($move->kind) {
            MoveKind::Rest => 'Hands off, throttle low.',
            MoveKind::Stick => match ($move->letter) {
                Letter::Throttle => 'Throttle: up, hold it, and back down.',
                Letter::Elevator => 'Elevator: up, hold; down, hold; let go.',
                default => ucfirst($move->letter?->functionName() ?? '').': right, hold; left, hold; let go.',
            },
            MoveKind::Switch => "Switch $move->id: through its $move->positions positions, half a second each, and back to the first.",
            MoveKind::Knob => "Knob $move->id: to its high end, to its low end, to its middle.",
        };
    }
}
