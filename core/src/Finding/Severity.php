<?php

declare(strict_types=1);

namespace Linguator\Core\Finding;

/** How much a finding matters: `stop` means do not power or use. */
enum Severity: string
{
    case Ok = 'ok';
    case Note = 'note';
    case Check = 'check';
    case Fix = 'fix';
    case Stop = 'stop';

    /** How bad it is, for finding the worst. */
    public function weight(): int
    {
        return match ($this) {
            self::Ok => 0,
            self::Note => 1,
            self::Check => 2,
            self::Fix => 3,
            self::Stop => 4,
        };
    }
}
