<?php

declare(strict_types=1);

namespace Linguator\Core\Quantity;

/** The pulse widths everybody counts from, µs. */
final class Pulse
{
    public const LOW_US = 1000.0;

    public const CENTRE_US = 1500.0;

    public const HIGH_US = 2000.0;
}
