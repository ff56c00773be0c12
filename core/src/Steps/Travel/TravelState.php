<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** How far a channel has come. */
enum TravelState: string
{
    /** Nothing is read. */
    case Open = 'open';
    /** Nothing is read, and by the cards a full stick would drive the servo too far: ends to enter first are computed. */
    case Beforehand = 'beforehand';
    /** Read, and settings computed. */
    case Solved = 'solved';
    /** Settings taken, to be read again. */
    case Set = 'set';
    /** Read again, and still off. */
    case Residue = 'residue';
    /** As it should be. */
    case Confirmed = 'confirmed';
}
