<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** Text on one line that says what it shows: no control characters, and no marks that turn the direction of what stands behind them. */
final class PlainText
{
    /** As the schemas have it. */
    public const PATTERN = '^[^\p{Cc}\x{061C}\x{200E}\x{200F}\x{202A}-\x{202E}\x{2066}-\x{2069}]*$';

    public static function is(string $text): bool
    {
        return preg_match('/'.self::PATTERN.'/Du', $text) === 1;
    }
}
