<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** What sort of gear a card describes. */
enum Kind: string
{
    case Handset = 'handset';
    case Module = 'module';
    case Receiver = 'receiver';
    case Converter = 'converter';
    case Controller = 'controller';
    case ServoSet = 'servo_set';

    public function label(): string
    {
        return $this === self::ServoSet ? 'servo set' : $this->value;
    }
}
