<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

/** What still comes out of a box after a link was lost. */
enum Flow: string
{
    /** Nothing. */
    case Silent = 'silent';
    /** The last commands, as if somebody gave them still. */
    case Old = 'old';
    /** What was stored for it. */
    case Stored = 'stored';
    /** Values with a flag that says that they are none. */
    case Flagged = 'flagged';
    case Unknown = 'unknown';

    /** What a receiver in such a mode puts out; null: not known. */
    public static function outOf(?FailsafeMode $mode): self
    {
        return match ($mode) {
            FailsafeMode::Hold => self::Old,
            FailsafeMode::Stored => self::Stored,
            FailsafeMode::None => self::Silent,
            FailsafeMode::Flag => self::Flagged,
            null => self::Unknown,
        };
    }

    /** The same behind a box whose card says what it does when its input is silent; null: not known. */
    public function behind(?InputLoss $loss): self
    {
        if ($this !== self::Silent) {
            return $this;
        }

        return match ($loss) {
            InputLoss::Stops => self::Silent,
            InputLoss::Holds => self::Old,
            null => self::Unknown,
        };
    }

    public function ofReceiver(): string
    {
        return match ($this) {
            self::Silent => 'stops all output',
            self::Old => 'repeats the last values',
            self::Stored => 'sends what was stored',
            self::Flagged => 'raises its flag',
            self::Unknown => 'does what nobody knows',
        };
    }

    public function ofOneThatPassesOn(): string
    {
        return match ($this) {
            self::Silent => 'gets nothing, and sends nothing',
            self::Old => 'goes on with the last values',
            self::Stored => 'passes the stored values on',
            self::Flagged => 'passes them on',
            self::Unknown => 'may stop or go on: it is not on its card',
        };
    }
}
