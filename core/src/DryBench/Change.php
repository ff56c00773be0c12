<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What a fault changes in the simulated world, by the names of core/data/diagnosis/faults.yaml. */
enum Change: string
{
    case Unfed = 'unfed';
    case PlugTurned = 'plug_turned';
    case WireBroken = 'wire_broken';
    case AntennaDamaged = 'antenna_damaged';
    case Sag = 'sag';
    case OtherRadio = 'other_radio';
    case OtherBayFormat = 'other_bay_format';
    case OtherMemory = 'other_memory';
    case Parted = 'parted';
    case OtherFormat = 'other_format';
    case LineFlipped = 'line_flipped';
    case OtherPort = 'other_port';
    case TrainAmbiguous = 'train_ambiguous';
    case ReaderTooSlow = 'reader_too_slow';
    case OtherOrder = 'other_order';
    case RemapTurned = 'remap_turned';
    case Reversed = 'reversed';
    case WeightNegative = 'weight_negative';
    case CentreMoved = 'centre_moved';
    case TravelScaled = 'travel_scaled';
    case ThresholdFallen = 'threshold_fallen';
    case WindowMoved = 'window_moved';
    case Interlocked = 'interlocked';
    case FlightMode = 'flight_mode';
    case Trimmed = 'trimmed';
    case Uncalibrated = 'uncalibrated';
    case ChannelKept = 'channel_kept';
    case Holds = 'holds';
    case StoredStale = 'stored_stale';
    case FirstHolds = 'first_holds';
    case ReachShort = 'reach_short';
}
