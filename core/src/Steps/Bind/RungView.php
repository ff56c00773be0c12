<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Bind;

/** A combination that may still bind: its chance, 0 to 1, and what it costs in minutes. */
final readonly class RungView
{
    public function __construct(public string $variant, public string $channelMode, public ?string $region, public float $p, public float $minutes)
    {
    }
}
