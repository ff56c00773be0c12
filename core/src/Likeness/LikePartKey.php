<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Told\Fact;

/** Which part of a set-up. What was read, bound, stored in hardware or proven is of one craft alone, and is no part. */
enum LikePartKey: string
{
    case Switches = 'switches';
    case Windows = 'windows';
    case Rates = 'rates';
    case Preparation = 'preparation';
    case Telemetry = 'telemetry';

    public function of(RigDocument $here, RigDocument $there): LikePart
    {
        return match ($this) {
            self::Switches => new SwitchesLike($here, $there),
            self::Windows => new WindowsLike($here, $there),
            self::Rates => new RatesLike($here, $there),
            // Mixes, limits and a rate for the set-up are said of one memory: nobody did that in another by copying.
            self::Preparation => new FactsLike('Timer, cut and call-outs', [Fact::ThrottleCut, Fact::Timer, Fact::TimerStarts, Fact::CallOuts], $here, $there),
            self::Telemetry => new FactsLike('Telemetry', [Fact::CellAlarm, Fact::VoltageShown, Fact::Sensors, Fact::TelemetryAlarms, Fact::ArmedOnly], $here, $there),
        };
    }
}
