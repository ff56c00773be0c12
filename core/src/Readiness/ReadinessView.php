<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Proof\CheckState;
use Linguator\Core\Steps\Leftover;

/** What check-out shows, and what the verb `readiness` answers. */
final readonly class ReadinessView
{
    /**
     * @param  list<Check>  $checks  In the order in which they are redone.
     * @param  list<ToRedo>  $redo
     * @param  list<string>  $stops  Why the rig must not be powered or used.
     * @param  list<string>  $refusedBecause  Why it cannot be signed off.
     * @param  list<Leftover>  $leftovers  What of the steps' work is open, or left as it is.
     */
    public function __construct(public bool $ready, public array $checks, public array $redo, public array $stops, public CheckState $signOff, public array $refusedBecause, public array $leftovers)
    {
    }
}
