<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\Ways;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigTrain;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Timing\LatencyBudget;
use Linguator\Core\Timing\LatencyStage;
use Linguator\Core\Timing\Resolution;
use Linguator\Core\Timing\StageLevels;

/** Frames, delay and resolution along a rig's chain, and what other choices in the same boxes would give. */
final readonly class TimingReview
{
    private const MOST_ALTERNATIVES = 12;

    public function __construct(private RigDocument $rig)
    {
    }

    public function shown(): TimingView
    {
        return new TimingView($this->trains(), $this->latency(), $this->alternatives(), $this->resolution());
    }

    /** @return list<TrainRow> Every pulse train in the chain with its budget. */
    private function trains(): array
    {
        $trains = [];
        foreach ($this->rig->chain()->joints() as $joint) {
            $train = RigTrain::of($this->rig, $joint);
            if ($train !== null) {
                $trains[] = self::train($train);
            }
        }

        return $trains;
    }

    private static function train(RigTrain $of): TrainRow
    {
        $train = $of->train;
        $held = $train->held();

        return new TrainRow(
            $of->joint->from->id(), $of->joint->from->name(), $of->joint->to->name(), $train->frame, $of->channels, $of->used, $train->min, $train->max, $of->joint->output?->periodsMs !== null, $train->budget(),
            $held?->heldAt === null ? null : new HeldVerdict($held->heldAt, $held->verdict()), $of->isHeld, ! $train->isSound() && $of->isCuredByHolding(),
        );
    }

    private function latency(): ?DelayView
    {
        $budget = $this->rig->chain()->path?->latency();

        return $budget === null ? null : new DelayView($budget->delay(), $budget->shares());
    }

    /**
     * The same boxes with one coupling done otherwise: another protocol, channel mode, frame period or wire.
     *
     * @return list<Alternative> Fastest first.
     */
    private function alternatives(): array
    {
        $joints = $this->rig->chain()->joints();
        $now = $this->rig->chain()->path?->latency()->mean() ?? 0.0;
        $alternatives = [];
        foreach ($joints as $k => $chosen) {
            foreach ($this->waysOf($k, $chosen) as $what => $stage) {
                $stages = array_map(static fn (Joint $joint): LatencyStage => $joint->stage, $joints);
                $stages[$k] = $stage;
                $budget = new LatencyBudget(array_values($stages));
                $alternatives[] = new Alternative($what, "{$chosen->from->name()} → {$chosen->to->name()}", $budget->delay(), round($now - $budget->mean(), 2));
            }
        }
        usort($alternatives, static fn (Alternative $a, Alternative $b): int => $a->ms->mean <=> $b->ms->mean);

        return array_slice($alternatives, 0, self::MOST_ALTERNATIVES);
    }

    /** @return array<string, LatencyStage> What else this coupling could be, with the stage it would make. */
    private function waysOf(int $k, Joint $chosen): array
    {
        $ways = [];
        foreach ($this->rig->chain()->couplings[$k]->ways ?? Ways::of([]) as $joint) {
            $isOther = $joint->via !== $chosen->via || ($joint->link['port'] ?? null) !== ($chosen->link['port'] ?? null);
            if ($isOther) {
                $label = SettingNames::way($joint->via);
                $ways[sprintf('%s, %g ms', $label, $joint->stage->periodMs)] = $joint->stage;
            }
        }
        if ($chosen->isAir() && in_array('1-16', $chosen->sent->modes ?? [], true)) {
            $sixteen = ($chosen->link['channel_mode'] ?? null) === '1-16';
            $ways[$sixteen ? 'channels 1–8 only' : 'all 16 channels, in two halves'] = new LatencyStage($chosen->stage->name, $chosen->stage->periodMs, $chosen->stage->transitMs, $sixteen ? 1 : 2);
        }
        foreach ($this->otherPeriods($chosen) as $period) {
            $ways[sprintf('a frame every %g ms', $period)] = new LatencyStage($chosen->stage->name, $period, $chosen->stage->transitMs, $chosen->stage->phases);
        }

        return $ways;
    }

    /** @return list<float> Frame periods both ends can use, besides the one in use (ms). */
    private function otherPeriods(Joint $joint): array
    {
        $sent = $joint->isAir() ? $joint->sent?->framesMs : $joint->output?->periodsMs;
        $heard = $joint->isAir() ? $joint->heard?->framesMs : null;
        $slowest = $joint->input?->maxRateHz;

        return array_values(array_filter($sent ?? [], static fn (float $ms): bool => abs($ms - $joint->stage->periodMs) > 1e-9
            && ($heard === null || in_array($ms, $heard, true))
            && ($slowest === null || 1000 / $ms <= $slowest + 1e-9)));
    }

    private function resolution(): ResolutionView
    {
        $stages = [];
        foreach ($this->rig->chain()->joints() as $joint) {
            $levels = $joint->isAir() ? self::levelsOnAir($joint) : $joint->output?->format->levels;
            if ($levels !== null) {
                $stages[] = new StageLevels(SettingNames::way($joint->via), $levels);
            }
        }
        $resolution = new Resolution($stages, 2 * $this->rig->handset()->scale()->usPer100);

        return new ResolutionView($resolution->steps(), $resolution->coarsest());
    }

    private static function levelsOnAir(Joint $joint): ?int
    {
        $known = array_filter([$joint->sent?->levels, $joint->heard?->levels], is_int(...));

        return $known === [] ? null : min($known);
    }
}
