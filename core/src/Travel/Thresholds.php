<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Pulse;

/** What a channel really sends against what a controller takes for low, high and still (rules T2–T5). All in µs. */
final readonly class Thresholds
{
    /** A threshold lies this far inside the end it watches. */
    private const ROOM_US = 10.0;

    /** A centre this close needs no dead band. */
    private const CLOSE_US = 3.0;

    private const LEAST_DEADBAND_US = 2.0;

    private const SIGMAS = 3.0;

    public function __construct(
        private Reading $reading,
        private float $noiseSigma = 0.0,
        private ?float $low = null,
        private ?float $high = null,
        private ?float $deadband = null,
    ) {
    }

    public function suggestedLow(): float
    {
        return $this->reading->lo + self::ROOM_US;
    }

    public function suggestedHigh(): float
    {
        return $this->reading->hi - self::ROOM_US;
    }

    /** Three standard deviations of the noise, rounded up, at least 2. */
    public function suggestedDeadband(): float
    {
        return max(self::LEAST_DEADBAND_US, ceil(round(self::SIGMAS * $this->noiseSigma, 9)));
    }

    /** Whether the throttle, at its lowest, is below the low threshold given, or else the one suggested. */
    public function arms(): bool
    {
        return $this->reading->lo < ($this->low ?? $this->suggestedLow());
    }

    public function findings(): Findings
    {
        return Findings::of($this->neverArms(), $this->neverFull(), $this->drifts());
    }

    private function neverArms(): ?Finding
    {
        return $this->arms() ? null : new Finding(Code::T2, Severity::Fix,
            sprintf('The lowest throttle, %g µs, is not below the low threshold of %g µs.', $this->reading->lo, $this->low),
            found: sprintf('%g µs', $this->reading->lo), expected: sprintf('below %g µs', $this->low),
            why: 'The controller never sees the throttle low, so it never arms.',
            change: sprintf('Lower the end point of the throttle, or set the low threshold to %g µs.', $this->suggestedLow()));
    }

    private function neverFull(): ?Finding
    {
        return $this->high === null || $this->reading->hi > $this->high ? null : new Finding(Code::T3, Severity::Check,
            sprintf('The highest value, %g µs, does not pass the high threshold of %g µs.', $this->reading->hi, $this->high),
            found: sprintf('%g µs', $this->reading->hi), expected: sprintf('above %g µs', $this->high),
            why: 'Whatever waits for full stick never happens.', change: sprintf('Set the ends first, then the high threshold to %g µs.', $this->suggestedHigh()));
    }

    private function drifts(): ?Finding
    {
        $off = abs($this->reading->mid - Pulse::CENTRE_US);
        $band = $this->deadband ?? $this->suggestedDeadband();

        return $off <= self::CLOSE_US || $band >= $off ? null : new Finding(Code::T4, Severity::Fix,
            sprintf('The centre rests at %g µs, %g µs off, and the dead band is only %g µs.', $this->reading->mid, $off, $band),
            found: sprintf('%g µs', $this->reading->mid), expected: '1497 to 1503 µs',
            why: 'The craft turns slowly with the stick at rest.', change: 'Bring the centre to 1500 µs by sub-trim, or widen the dead band.');
    }
}
