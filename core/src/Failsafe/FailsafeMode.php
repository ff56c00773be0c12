<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

/** What a receiver does when it hears nothing. */
enum FailsafeMode: string
{
    case Hold = 'hold';
    case Stored = 'stored';
    case None = 'none';
    case Flag = 'flag';

    /** As it is said of a receiver. */
    public function says(): string
    {
        return match ($this) {
            self::Hold => 'hold the last values',
            self::Stored => 'go to stored values',
            self::None => 'stop all output',
            self::Flag => 'raise the flag of the format',
        };
    }
}
