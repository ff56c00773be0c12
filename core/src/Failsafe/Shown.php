<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

/** What somebody saw a craft do when its link was cut: the answer where the settings cannot tell. */
enum Shown: string
{
    case MotorStops = 'motor_stops';
    case Acts = 'acts';
    case Returns = 'returns';
    case Holds = 'holds';
    case Runs = 'runs';
    case Full = 'full_throttle';

    public function says(): string
    {
        return match ($this) {
            self::MotorStops => 'the motor stopped, the surfaces went neutral',
            self::Acts => 'the controller noticed, and did what it is set to',
            self::Returns => 'it went into its return mode',
            self::Holds => 'it went on as before',
            self::Runs => 'the motor went on running',
            self::Full => 'the motor went to full throttle',
        };
    }

    public function outcome(): Outcome
    {
        return match ($this) {
            self::MotorStops => Outcome::MotorOffNeutral,
            self::Acts => Outcome::ControllerFailsafe,
            self::Returns => Outcome::ReturnHome,
            self::Holds => Outcome::HoldsLast,
            self::Runs => Outcome::MotorRuns,
            self::Full => Outcome::FullThrottle,
        };
    }
}
