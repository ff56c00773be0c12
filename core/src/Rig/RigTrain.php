<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Timing\PulseTrain;
use Linguator\Core\Timing\TrainVerdict;

/** A pulse train of a rig's chain: what it must carry, and whether its unused channels are held. */
final readonly class RigTrain
{
    private const US_PER_MS = 1000.0;

    /** In a pulse train, where the card does not say. */
    private const USUAL_CHANNELS = 8;

    private function __construct(public Joint $joint, public PulseTrain $train, public int $channels, public int $used, public bool $isHeld)
    {
    }

    /** Null: no pulse train runs on this joint. */
    public static function of(RigDocument $rig, Joint $joint): ?self
    {
        if ($joint->output?->format->id !== 'ppm') {
            return null;
        }
        $scale = $rig->handset()->scale();
        $most = $joint->output->channels ?? self::USUAL_CHANNELS;
        $channels = max(1, $joint->from instanceof Handset && $joint->from->channels !== null ? min($most, $joint->from->channels) : $most);
        $used = min($channels, $rig->functions()?->countChannels() ?? $channels);
        $isHeld = $rig->settings()->node('held')?->get($joint->from->id()) === true;

        return new self($joint, new PulseTrain($joint->stage->periodMs * self::US_PER_MS, $channels, $scale->us(-100), $scale->us(100), $used), $channels, $used, $isHeld);
    }

    /** Whether holding the channels that carry nothing leaves room for the gap. */
    public function isCuredByHolding(): bool
    {
        return $this->train->held()?->verdict() === TrainVerdict::Sound;
    }

    /** Whether somebody holds them, and that is enough. */
    public function isCured(): bool
    {
        return $this->isHeld && $this->isCuredByHolding();
    }
}
