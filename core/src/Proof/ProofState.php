<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

/** How it stands with a check, with what was set, or with a sign-off. */
enum ProofState: string
{
    /** Not made yet. */
    case Open = 'open';
    case Holds = 'holds';
    /** Made with settings that are others now. */
    case Stale = 'stale';
    case Failed = 'failed';
}
