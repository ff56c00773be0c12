<?php

declare(strict_types=1);

namespace Linguator\Core\Quantity;

/** The pulse widths everybody counts from, and what counts as a movement, µs. */
final class Pulse
{
    public const LOW_US = 1000.0;

    public const CENTRE_US = 1500.0;

    public const HIGH_US = 2000.0;

    /** A channel that leaves its rest by more than this has been moved. */
    public const MOVED_US = 50.0;

    /** Most readers take values in between. */
    public const LOWEST_US = 900.0;

    public const HIGHEST_US = 2100.0;

    /** A stick that travels less from end to end is short. */
    public const SHORT_TRAVEL_US = 800.0;

    /** A stick that travels at least so far was moved from end to end. */
    public const END_TO_END_US = 600.0;
}
