<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Document\DocumentError;

/** A proof needs somebody who was there, and what was seen. */
final class Witness
{
    /**
     * @param  string  $who  Who is expected, as it stands in the sentence.
     *
     * @throws DocumentError at `by` if nobody is named.
     */
    public static function mustBeNamed(string $by, string $who = 'who saw it'): void
    {
        if ($by === '') {
            throw DocumentError::at('by', "Nobody is named; expected $who.", 'missing_name');
        }
    }

    /** @throws DocumentError at `observed` if nothing was seen, at `by` if nobody is named. */
    public static function mustHaveSeen(string $observed, string $by): void
    {
        if ($observed === '') {
            throw DocumentError::at('observed', 'Nothing is told of what was seen; expected an observation, or "exactly as written".', 'missing_observation');
        }
        self::mustBeNamed($by);
    }
}
