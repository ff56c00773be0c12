<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What can be otherwise about a craft than its record says, and is seen by looking at it, or by what it does. */
enum Oddity
{
    case PlugTurned;
    case WireBroken;
    case AntennaDamaged;
    case ReachShort;
    case Sags;
    case OtherRadio;
    case OtherBayFormat;
    case OtherMemory;
    case OtherNumber;
    case OtherPort;
    case OtherFormat;
    case LineFlipped;
    case TrainAmbiguous;
    case ReaderTooSlow;
    case PlugsExchanged;
    case TrimOff;
    case CalibrationBad;
    case Interlocked;
    case FlightModeOn;
}
