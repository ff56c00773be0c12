<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

/** Builders disagree over the best place of a receiver's antenna: both, each with its price. */
enum AntennaSchool
{
    case Along;
    case Upright;

    /** As it is told and printed. */
    public function place(): string
    {
        return match ($this) {
            self::Along => 'along the frame or fuselage, tip clear',
            self::Upright => 'upright, clear of everything',
        };
    }

    public function price(): string
    {
        return match ($this) {
            self::Along => 'Out of harm\'s way. It hears nothing off its end, and less behind carbon or the pack: mind how the craft points when it is far.',
            self::Upright => 'Hears best all round, but nothing from straight above or below. It is the first thing that breaks, and the propellers must clear it.',
        };
    }
}
