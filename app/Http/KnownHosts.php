<?php

declare(strict_types=1);

namespace App\Http;

/**
 * The names this bench answers to. A page of anybody's may have its own name point at this machine; asked by that name,
 * the bench would be that page's own to read and to change. No part of the framework: `bin/server.php` asks it for files.
 */
final class KnownHosts
{
    private const HERE = ['127.0.0.1', 'localhost', '[::1]'];

    /**
     * @param  string|null  $host  As the request says, port and all.
     * @param  string  $configured  Further names, parted by commas.
     * @return string|null Why it is not answered, in a sentence; null: it is.
     */
    public static function refusal(?string $host, string $configured): ?string
    {
        $known = [...self::HERE, ...array_filter(array_map(static fn (string $name): string => strtolower(trim($name)), explode(',', $configured)))];
        $name = preg_match('/^(\[[0-9a-f:.]+\]|[^:\[\]]+)(:\d{1,5})?$/Di', (string) $host, $match) === 1 ? strtolower($match[1]) : '';
        if (in_array($name, $known, true)) {
            return null;
        }
        $found = (string) preg_replace('/[^A-Za-z0-9.:_\[\]-]/', '?', substr((string) $host, 0, 80));

        return 'This bench answers to '.implode(', ', $known)." only; found \"$found\". A further name is allowed by LINGUATOR_HOSTS.";
    }

    /** Whether a request comes from a page of another origin: of another name or port than it asks. */
    public static function isForeign(?string $origin, ?string $host): bool
    {
        return $origin !== null && strtolower($origin) !== 'http://'.strtolower((string) $host) && strtolower($origin) !== 'https://'.strtolower((string) $host);
    }
}
