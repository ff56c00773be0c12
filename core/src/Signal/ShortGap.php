<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Line\Pulses;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Timing\PulseTrain;

/** The shortest gap that was too short to be told from a channel, with the train that it stood in (µs). */
final readonly class ShortGap
{
    private const NS_PER_US = 1000;

    /** @param  int<1, max>  $channels */
    private function __construct(public float $us, public int $channels, public float $longest, private float $frame)
    {
    }

    /** Null: its gap was not measured. */
    public static function of(Pulses $pulses): ?self
    {
        if ($pulses->gapUs === null || $pulses->ns === []) {
            return null;
        }
        $sum = array_sum($pulses->ns) / self::NS_PER_US;

        return new self($pulses->gapUs, count($pulses->ns), max($pulses->ns) / self::NS_PER_US, $sum + $pulses->gapUs);
    }

    public function shorter(?self $other): self
    {
        return $other !== null && $other->us <= $this->us ? $other : $this;
    }

    /** What a reader needs behind channels like these. */
    public function neededUs(): float
    {
        return $this->train()->requiredSync();
    }

    /** The shortest frame, in steps of 500 µs, with room for as many channels at full throw. */
    public function frameNeededUs(): float
    {
        return $this->train()->frameNeeded();
    }

    private function train(): PulseTrain
    {
        return new PulseTrain($this->frame, $this->channels, Pulse::LOW_US, max(Pulse::HIGH_US, $this->longest), $this->channels);
    }
}
