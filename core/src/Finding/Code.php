<?php

declare(strict_types=1);

namespace Linguator\Core\Finding;

/** Everything a rule can find, by its code: a letter for the family and a number, or, of captures and movements, a word. */
enum Code: string
{
    // Joining neighbours.

    /** A radio that cannot be switched off beside a module. */
    case M1 = 'M1';
    /** A pulse train without room for its gap. */
    case M2 = 'M2';
    /** The line is the other way up. */
    case M3 = 'M3';
    /** Throttle gets lost in a controller. */
    case M4 = 'M4';
    /** Telemetry does not come back. */
    case M5 = 'M5';
    /** A channel the link keeps for itself is used for something else. */
    case M6 = 'M6';
    /** Frames come faster than the reader takes them, or that is not known. */
    case M7 = 'M7';
    /** Firmware generations differ. */
    case M8 = 'M8';
    /** Regions differ. */
    case M9 = 'M9';
    /** Channel modes differ. */
    case M10 = 'M10';
    /** The voltage on a wire is outside what the reader takes. */
    case M11 = 'M11';
    /** Too few channels get through. */
    case M12 = 'M12';
    /** Something is not known. */
    case M13 = 'M13';
    /** No wire format in common. */
    case M14 = 'M14';
    /** No air protocol in common. */
    case M15 = 'M15';

    // Supply.

    /** A full pack is above what the box takes. */
    case P1 = 'P1';
    /** A flat pack is below what the box needs. */
    case P2 = 'P2';
    /** The devices draw more than the supply can give. */
    case P3 = 'P3';

    /** The order differs. */
    case O1 = 'O1';

    // Travel.

    /** A servo is driven too far. */
    case T1 = 'T1';
    /** The lowest throttle is not below the low threshold. */
    case T2 = 'T2';
    /** The highest throttle does not reach the high threshold. */
    case T3 = 'T3';
    /** The centre is off by more than the dead band. */
    case T4 = 'T4';
    /** A setting is held at a limit of the handset. */
    case T8 = 'T8';

    // Switches.

    /** A wanted position misses its window, or nearly. */
    case S1 = 'S1';
    /** Another position falls inside. */
    case S2 = 'S2';
    /** The power-up or failsafe level arms. */
    case S3 = 'S3';
    /** Arm on a switch with more than two positions, or a spring. */
    case S4 = 'S4';
    /** Two functions ride on one channel. */
    case S5 = 'S5';
    /** A function rides on a channel the link keeps. */
    case S6 = 'S6';

    // Failsafe.

    /** The stored throttle is not motor off. */
    case F1 = 'F1';
    /** The return mode is stored, but the throttle too low. */
    case F2 = 'F2';
    /** The arm channel is stored armed. */
    case F3 = 'F3';
    /** What was recorded is not something this receiver can do. */
    case F4 = 'F4';
    /** Set before something it depends on changed. */
    case F5 = 'F5';
    /** The last hop is not tested. */
    case F6 = 'F6';
    /** The first hop of a relay is not tested. */
    case F7 = 'F7';
    /** Where the throttle stick must be when the link comes back. */
    case F8 = 'F8';
    /** A module that may go on sending by itself when its input is silent. */
    case F9 = 'F9';

    // Movements of sticks.
    case TwoMoved = 'two_moved';
    case NothingMoved = 'nothing_moved';
    case OrderDiffers = 'order_differs';
    case RestOffCentre = 'rest_off_centre';
    case ShortTravel = 'short_travel';
    case OverTravel = 'over_travel';

    // A dance.
    case EndNotHeld = 'end_not_held';
    case Noisy = 'noisy';
    case LevelsClose = 'levels_close';
    case Dropout = 'dropout';
    case MovedAtRest = 'moved_at_rest';

    // A capture.
    case NotRecognised = 'not_recognised';
    case LineInverted = 'line_inverted';
    case WrongBaud = 'wrong_baud';
    case ParityMismatch = 'parity_mismatch';
    case SyncAmbiguous = 'sync_ambiguous';
    case FramesDropped = 'frames_dropped';
    case FailsafeActive = 'failsafe_active';
    case FrameLost = 'frame_lost';
    case FramesLostInAir = 'frames_lost_in_air';
    case ChannelStuck = 'channel_stuck';
    case ValuesOutOfRange = 'values_out_of_range';
    case RateFasterThanReader = 'rate_faster_than_reader';
    case CaptureDamaged = 'capture_damaged';
    case TimeUnitAssumed = 'time_unit_assumed';

    // Two captures held against each other.
    case NothingInCommon = 'nothing_in_common';
    case ChannelMissing = 'channel_missing';
    case MovesInOne = 'moves_in_one';
    case Reversed = 'reversed';
    case ScaleDiffers = 'scale_differs';
    case CentreDiffers = 'centre_differs';
    case Delay = 'delay';
    case RateDiffers = 'rate_differs';
    case FormatDiffers = 'format_differs';

    public function isFailsafe(): bool
    {
        return in_array($this, [self::F1, self::F2, self::F3, self::F4, self::F5, self::F6, self::F7, self::F8, self::F9], true);
    }
}
