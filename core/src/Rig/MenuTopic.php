<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** What somebody looks for in the menus of several boxes at once. */
enum MenuTopic: string
{
    case Preparation = 'preparation';
    case Binding = 'binding';
    case Travel = 'travel';
    case Thresholds = 'thresholds';
    case Switches = 'switches';
    case Rates = 'rates';
    case Failsafe = 'failsafe';

    /** @return array<string, string> Settings that belong to it, as `setting_names` of a card keys them, and what they are in plain words. */
    public function settings(): array
    {
        return match ($this) {
            self::Preparation => ['model' => 'the memory', 'calibration' => 'calibration', 'mixes' => 'mixes', 'trims' => 'trims', 'timer' => 'the timer', 'throttle_cut' => 'throttle cut'],
            self::Binding => ['bind' => 'binding', 'power' => 'the power radiated'],
            self::Travel => ['ends' => 'the ends of a channel', 'subtrim' => 'sub-trim', 'reverse' => 'reverse'],
            self::Thresholds => ['thresholds' => 'thresholds', 'range' => 'the range taken'],
            self::Switches => ['switches' => 'the switch of a channel', 'windows' => 'the windows'],
            self::Rates => ['rates' => 'rates and expo'],
            self::Failsafe => ['failsafe' => 'failsafe'],
        };
    }
}
