<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Gear\HandsetSwitch;
use Linguator\Core\Rig\RigDocument;

/** Something in the hand that can be moved: a stick, or a switch or knob that carries a function. */
final readonly class Control
{
    private function __construct(public ?Letter $letter, public ?HandsetSwitch $switch)
    {
    }

    public static function stick(Letter $letter): self
    {
        return new self($letter, null);
    }

    public static function switch(HandsetSwitch $switch): self
    {
        return new self(null, $switch);
    }

    /** @return list<self> Sticks first. */
    public static function allOf(RigDocument $rig): array
    {
        $all = array_map(self::stick(...), Letter::cases());
        $seen = [];
        foreach ($rig->switches() as $setting) {
            if ($setting->switch !== null && ! isset($seen[$setting->switch->id])) {
                $seen[$setting->switch->id] = true;
                $all[] = self::switch($setting->switch);
            }
        }

        return $all;
    }

    /** @param  float  $share  −1 at its low end, 1 at its high end; a switch stands at one of them. */
    public function at(Controls $controls, float $share): Controls
    {
        return match (true) {
            $this->letter !== null => $controls->moved($this->letter, $share * 100),
            $this->switch === null => $controls,
            $this->switch->isSlider() => $controls->turned($this->switch->id, $share * 100),
            default => $controls->switched($this->switch->id, $share < 0 ? 1 : max(1, (int) $this->switch->positions)),
        };
    }

    public function key(): string
    {
        return $this->letter->value ?? 'switch '.($this->switch->id ?? '');
    }
}
