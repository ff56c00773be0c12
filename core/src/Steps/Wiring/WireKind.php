<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

/** How two boxes are wired. */
enum WireKind: string
{
    case Bay = 'bay';
    case Trainer = 'trainer';
    /** A wire for each channel. */
    case Pins = 'pins';
    /** One wire for all channels. */
    case OneWire = 'one_wire';
}
