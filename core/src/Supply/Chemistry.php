<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

/** What a pack is made of, with the voltages of one cell (V). */
enum Chemistry: string
{
    case LiPo = 'lipo';
    case LiHv = 'lihv';
    case LiFe = 'life';
    case NiMh = 'nimh';

    /** The voltage at which the alarm should sound. */
    public function low(): float
    {
        return match ($this) {
            self::LiPo, self::LiHv => 3.5,
            self::LiFe => 3.0,
            self::NiMh => 1.1,
        };
    }

    public function nominal(): float
    {
        return match ($this) {
            self::LiPo => 3.7,
            self::LiHv => 3.8,
            self::LiFe => 3.3,
            self::NiMh => 1.2,
        };
    }

    public function full(): float
    {
        return match ($this) {
            self::LiPo => 4.2,
            self::LiHv => 4.35,
            self::LiFe => 3.65,
            self::NiMh => 1.45,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::LiPo => 'LiPo',
            self::LiHv => 'LiHV',
            self::LiFe => 'LiFe',
            self::NiMh => 'NiMH',
        };
    }
}
