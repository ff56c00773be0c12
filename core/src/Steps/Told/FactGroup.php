<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

/** Where it is said, and under which heading it stands on the sheet. */
enum FactGroup: string
{
    case Handset = 'handset';
    case Bind = 'bind';
    case Wiring = 'wiring';
    case Failsafe = 'failsafe';
    case Notes = 'notes';

    public function title(): string
    {
        return match ($this) {
            self::Handset => 'Timer, cut and set-up',
            self::Bind => 'Both ends of the link',
            self::Wiring => 'Packs and telemetry',
            self::Failsafe => 'Failsafe by hand',
            self::Notes => 'To remember',
        };
    }
}
