<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Chain\Boxes;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Rig\RigDocument;

/** The way of a loss through the chain, box by box: what each does once the link in front of it is gone, to what the craft does. */
final readonly class LossWay
{
    private Boxes $boxes;

    public function __construct(private RigDocument $rig, private FailsafeReview $losses)
    {
        $this->boxes = $rig->boxes;
    }

    /** @return list<LossStage> */
    public function of(FailsafeHop $hop): array
    {
        $sender = $hop->sender();
        $goesOn = $hop->goesOnSending();
        $stages = [new LossStage($sender?->name() ?? '', $goesOn ? 'goes on sending by itself' : 'is off, or out of reach', $goesOn ? Flow::Old : Flow::Silent)];
        $flow = $goesOn ? Flow::Old : Flow::Silent;
        $from = $this->boxes->positionOf($hop->receiver()) ?? 0;
        foreach (array_slice($this->boxes->all, $from) as $box) {
            if ($box instanceof Controller || $box instanceof ServoSet) {
                $stages[] = new LossStage($box->name(), $hop->outcome()->sentence(), null, $hop->outcome()->isHarmful());

                break;
            }
            if ($box instanceof Receiver) {
                $lost = $flow === Flow::Silent;
                $flow = $lost ? Flow::outOf($this->hopOf($box)?->mode()) : $flow;
                $stages[] = new LossStage($box->name, $lost ? $flow->ofReceiver() : 'hears nothing wrong: '.$flow->ofOneThatPassesOn(), $flow);
            } else {
                $flow = $flow->behind(InputLoss::of($this->rig, $box));
                $stages[] = new LossStage($box->name(), $flow->ofOneThatPassesOn(), $flow);
            }
        }

        return $stages;
    }

    private function hopOf(Receiver $receiver): ?FailsafeHop
    {
        foreach ($this->losses->hops as $hop) {
            if ($hop->receiver() === $receiver) {
                return $hop;
            }
        }

        return null;
    }
}
