<?php

declare(strict_types=1);

namespace App\Actions;

use Illuminate\Support\Str;

/** What something is called in addresses and documents, made of its title: "far-wing", or "far-wing-2" where that is taken. */
final class FreeName
{
    private const MOST_LETTERS = 60;

    /**
     * @param  string  $otherwise  Where the title has nothing that an address may have.
     * @param  \Closure(string): bool  $isTaken
     */
    public static function of(string $title, string $otherwise, \Closure $isTaken): string
    {
        $base = Str::limit(Str::slug($title), self::MOST_LETTERS, '') ?: $otherwise;
        $name = $base;
        for ($k = 2; $isTaken($name); $k++) {
            $name = "$base-$k";
        }

        return $name;
    }
}
