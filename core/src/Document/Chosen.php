<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** Lines that somebody picked out of a list. */
final class Chosen
{
    /**
     * @param  list<string>  $keys
     * @param  list<string>  $known
     *
     * @throws DocumentError at `keys`, if nothing is picked, or at the first that there is not.
     */
    public static function mustBeAmong(array $keys, array $known): void
    {
        if ($keys === []) {
            throw DocumentError::at('keys', 'Found nothing to take over; expected at least one line.', 'too_few');
        }
        foreach ($keys as $k => $key) {
            if (! in_array($key, $known, true)) {
                throw DocumentError::at("keys.$k", 'Found '.Excerpt::of($key).'; expected '.($known === [] ? 'nothing: there is no line to take.' : 'one of '.implode(', ', $known).'.'), 'no_such_line');
            }
        }
    }
}
