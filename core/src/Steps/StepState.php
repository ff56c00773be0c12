<?php

declare(strict_types=1);

namespace Linguator\Core\Steps;

/** How it stands with a step. */
enum StepState: string
{
    /** Its work is not done yet. */
    case Open = 'open';
    /** Something must be looked at or done again. */
    case Attention = 'attention';
    /** Do not power or use. */
    case Stop = 'stop';
    case Done = 'done';

    /** What needs somebody most comes first. */
    public function urgency(): int
    {
        return match ($this) {
            self::Stop => 0,
            self::Attention => 1,
            self::Open => 2,
            self::Done => 3,
        };
    }
}
