<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** One channel on one wire: the width of a pulse that comes again and again. */
final class PwmReader implements PulseReader
{
    public const SHORTEST_US = 500.0;

    public const LONGEST_US = 2500.0;

    private ?float $lead = null;

    /** @param  int  $active  Level of the pulse. */
    public function __construct(private readonly int $active)
    {
    }

    public function push(Edges $edges, PulseSink $sink): void
    {
        $level = $edges->level;
        foreach ($edges->times as $us) {
            if ($level === $this->active) {
                $this->lead = $us;
            } elseif ($this->lead !== null) {
                $this->pulse($us - $this->lead, $this->lead, $sink);
                $this->lead = null;
            }
            $level ^= 1;
        }
    }

    public function finish(PulseSink $sink): void
    {
        // A pulse that the end of the capture cuts off is none.
        $this->lead = null;
    }

    private function pulse(float $width, float $us, PulseSink $sink): void
    {
        $pulse = new Pulses([1 => (int) round($width * 1000)], $us);
        if ($width >= self::SHORTEST_US && $width <= self::LONGEST_US) {
            $sink->pulses($pulse);
        } else {
            $sink->badPulses('pulse', $pulse);
        }
    }
}
