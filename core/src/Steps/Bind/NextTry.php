<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Bind;

/** What to try next, and from how far (m). */
final readonly class NextTry
{
    public function __construct(public string $variant, public string $channelMode, public ?string $region, public float $distanceM)
    {
    }
}
