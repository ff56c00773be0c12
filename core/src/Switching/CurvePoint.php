<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

/** A point of a stick's curve: the stick and the output in %, and µs. */
final readonly class CurvePoint
{
    public function __construct(public float $stickPct, public float $outPct, public float $us)
    {
    }
}
