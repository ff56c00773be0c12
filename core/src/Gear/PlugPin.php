<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** What a pin of a plug is for. */
enum PlugPin: string
{
    case Signal = 'signal';
    case Plus = 'plus';
    case Ground = 'ground';
    case Data = 'data';
    case Free = 'free';

    public function label(): string
    {
        return match ($this) {
            self::Data => 'data back',
            self::Free => 'not used',
            default => $this->value,
        };
    }
}
