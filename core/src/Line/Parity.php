<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** The parity bit of every byte. */
final class Parity
{
    /** @return list<int> By byte; empty without parity. */
    public static function table(string $parity): array
    {
        $table = [];
        for ($byte = 0; $parity !== 'none' && $byte < 256; $byte++) {
            $table[] = (substr_count(decbin($byte), '1') + ($parity === 'odd' ? 1 : 0)) % 2;
        }

        return $table;
    }
}
