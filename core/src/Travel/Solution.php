<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Finding\Finding;

/** Settings to enter, what they will give, and what stands in the way. `reversed` says whether to flip from the present state. */
final readonly class Solution
{
    /**
     * @param  list<string>  $limited  `lo`, `hi`: ends held at a limit.
     * @param  list<Finding>  $findings
     */
    public function __construct(public ChannelSettings $settings, public Reading $predicted, public array $limited, public array $findings)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'settings' => $this->settings->toArray(),
            'predicted' => $this->predicted->toArray(),
            'limited' => $this->limited,
            'findings' => Finding::listToArray($this->findings),
        ];
    }
}
