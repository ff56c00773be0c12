<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Chance that can be played again: everything of it comes from `mt_srand`. */
final class Seeded
{
    public static function bytes(int $length): string
    {
        $bytes = '';
        for ($k = 0; $k < $length; $k++) {
            $bytes .= chr(mt_rand(0, 255));
        }

        return $bytes;
    }
}
