<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Finding\Findings;

/** Settings to enter, what they will give, and what stands in the way. `reversed` says whether to flip from the present state. */
final readonly class Solution
{
    /**
     * @param  list<End>  $limited  Ends held at a limit.
     */
    public function __construct(public ChannelSettings $settings, public Reading $predicted, public array $limited, public Findings $findings)
    {
    }
}
