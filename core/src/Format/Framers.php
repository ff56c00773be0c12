<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** The framer a card needs. */
final class Framers
{
    public static function for(FormatCard $card): Framer
    {
        return match (true) {
            $card->silenceMs !== null => new SilenceFramer($card),
            $card->stuffing !== null => new StuffedFramer($card),
            default => new HeaderFramer($card),
        };
    }
}
