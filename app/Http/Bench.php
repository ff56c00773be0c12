<?php

declare(strict_types=1);

namespace App\Http;

/** What tells this bench from another one on the same machine. */
final class Bench
{
    private const LENGTH = 8;

    /** A short mark of its database and its key. */
    public static function mark(string $database, string $key): string
    {
        return substr(hash('sha256', "$database\n$key"), 0, self::LENGTH);
    }

    /** The cookie of somebody who has signed in over the club's network. */
    public static function clubCookie(): string
    {
        return config()->string('linguator.mark').'-club';
    }

    /** The cookie that pages read the token against forged requests from. */
    public static function tokenCookie(): string
    {
        return config()->string('linguator.mark').'-XSRF-TOKEN';
    }
}
