<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** Which end gives way where travel does not fit. */
enum School: string
{
    /** The handset's ends are brought to what the reader expects. */
    case Match = 'match';
    /** The handset stays, and the reader's range is set. */
    case Leave = 'leave';

    /** As the history tells it. */
    public function sentence(): string
    {
        return match ($this) {
            self::Match => 'The handset is brought to what the reader expects',
            self::Leave => "The handset stays; the reader's range is set",
        };
    }
}
