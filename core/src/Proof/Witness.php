<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Document\DocumentError;

/** A proof needs somebody who was there, and what was seen. */
final class Witness
{
    /** @throws DocumentError at `by` if nobody is named. */
    public static function mustBeNamed(string $by): void
    {
        if ($by === '') {
            throw DocumentError::at('by', 'Nobody is named; expected who saw it. A proof without a person is none.', 'missing_name');
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
