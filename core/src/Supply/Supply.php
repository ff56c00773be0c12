<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

/** The voltages a device may meet: from a flat to a full pack, or one fixed voltage (V). */
final readonly class Supply
{
    public function __construct(public float $low, public float $full)
    {
    }

    public static function fixed(float $volts): self
    {
        return new self($volts, $volts);
    }
}
