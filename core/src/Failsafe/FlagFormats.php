<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Wire\WireFormats;

/** Formats whose frames say that the link is lost. */
final class FlagFormats
{
    public static function carry(string $format): bool
    {
        return WireFormats::get($format)->failsafeFlag;
    }
}
