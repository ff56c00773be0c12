<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Finding\Severity;

/** What the craft does when a link is lost. */
enum Outcome: string
{
    case MotorOffNeutral = 'motor_off_neutral';
    case ControllerFailsafe = 'controller_failsafe';
    case ReturnHome = 'return_home';
    case HoldsLast = 'holds_last';
    case FullThrottle = 'full_throttle';
    case MotorRuns = 'motor_runs';
    case PulsesStop = 'pulses_stop';
    case Unknown = 'unknown';

    /** Whether nobody may call it passed: the motor goes on with nobody in command. */
    public function isHarmful(): bool
    {
        return in_array($this, [self::HoldsLast, self::MotorRuns, self::FullThrottle], true);
    }

    /** The least that it counts, whatever the findings add: a motor that runs on is told by F1, which knows the craft. */
    public function least(): Severity
    {
        return match ($this) {
            self::HoldsLast => Severity::Stop,
            self::Unknown => Severity::Fix,
            self::PulsesStop => Severity::Check,
            default => Severity::Ok,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::MotorOffNeutral => 'Motor off, everything else goes where it was stored.',
            self::ControllerFailsafe => 'The controller notices and acts by itself.',
            self::ReturnHome => 'The craft goes into its return mode.',
            self::HoldsLast => 'The craft goes on with the last commands.',
            self::FullThrottle => 'The motor goes to full throttle.',
            self::MotorRuns => 'The motor goes on running.',
            self::PulsesStop => 'The pulses stop: surfaces stay where they are, the motor stops if its speed controller times out.',
            self::Unknown => 'Nobody can say what the craft does.',
        };
    }
}
