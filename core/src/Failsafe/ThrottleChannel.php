<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Rig\RigDocument;

/** The throttle of a rig: which channel of the handset it is, and on which one each receiver puts it out. */
final readonly class ThrottleChannel
{
    public function __construct(private RigDocument $rig)
    {
    }

    /** Whether the craft has a throttle at all: told sticks without one mean it has none; told auxiliaries alone say nothing of the sticks. */
    public function hasThrottle(): bool
    {
        $functions = $this->rig->functions();

        return $functions === null || ! $functions->namesStick() || $functions->has(Letter::Throttle->functionName());
    }

    /** The handset channel whose stick ends as throttle; null: that cannot be told. */
    public function throttle(): ?int
    {
        $trace = $this->rig->chain()->trace();

        return $trace->reader === null ? $this->told() : $trace->actingAt(Letter::Throttle);
    }

    /** The channel on which the receiver of a hop puts throttle out; null: that cannot be told. */
    public function throttleAt(int $hop): ?int
    {
        $position = $this->rig->boxes->receiverAt($hop);
        $trace = $this->rig->chain()->trace();
        if ($position === null) {
            return null;
        }
        if ($trace->reader !== null) {
            return $trace->actingAt(Letter::Throttle, $position);
        }
        $told = $this->told();

        return $told === null ? null : $trace->forth($told, $position);
    }

    /** The channel on which it leaves the handset: as told, else by the handset's order. */
    private function told(): ?int
    {
        return $this->rig->functions()?->channelOf(Letter::Throttle->functionName()) ?? $this->rig->handsetOrder()?->channelOf(Letter::Throttle);
    }
}
