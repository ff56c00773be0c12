<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\ReadingTaken;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\HiddenReversals;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ResidueExplanation;
use Linguator\Core\Travel\Solution;
use Linguator\Core\Travel\SubtrimModel;
use Linguator\Core\Travel\TravelSolver;

/** One channel of the travel step: what was read, where it should be, what to enter, and how far it has come. */
final readonly class TravelRow
{
    /** A reading off a screen is good to a µs. */
    private const READ_US = 1.0;

    private ChannelRecord $record;

    private ?ReadingTaken $last;

    private ?ReadingTaken $before;

    public Reading $target;

    public function __construct(
        private TravelContext $context,
        public int $channel,
        public string $function,
        private ?Draft $draft = null,
    ) {
        $this->record = new ChannelRecord($context->rig, $channel);
        $this->target = $context->target($channel, $function);
        $taken = $this->record->readings();
        if ($draft !== null) {
            $taken[] = $draft->taken;
        }
        $this->last = $taken === [] ? null : $taken[count($taken) - 1];
        $this->before = $taken[count($taken) - 2] ?? null;
    }

    public function now(): ChannelSettings
    {
        return $this->record->now();
    }

    public function last(): ?ReadingTaken
    {
        return $this->last;
    }

    /** What to enter in the handset; null while nothing is read and nothing can break, or the reading contradicts what was set. */
    public function solution(): ?Solution
    {
        if ($this->last === null) {
            return $this->beforehand();
        }
        $gimbal = $this->seen();
        if ($gimbal === null) {
            return null;
        }
        $target = $this->context->leavesHandset() ? $this->last->reading : $this->target;

        return (new TravelSolver($this->context->handset))->solve($gimbal, $target, $this->last->with, $this->centres(), $this->isToReverse() !== $this->isTurned(), $this->isLimited());
    }

    /** Whether its direction was turned round since it was read. */
    private function isTurned(): bool
    {
        return $this->last !== null && $this->last->with->reversed !== $this->record->now()->reversed;
    }

    /** Ends to enter before full stick is tried, by the cards; null: nothing is known to break. */
    private function beforehand(): ?Solution
    {
        $target = $this->servoFinding() === null ? null : $this->context->servos($this->function)->within($this->target);

        return $target === null ? null : (new TravelSolver($this->context->handset))->solve($this->nominal(), $target, $this->record->now(), false, inward: true);
    }

    private function nominal(): Gimbal
    {
        return Gimbal::nominal($this->context->handset, $this->context->rig->handset()->scale());
    }

    /** Whether the ends of its travel are what a servo survives. */
    private function isLimited(): bool
    {
        return $this->context->servos($this->function)->isKnown();
    }

    /** What the servo says to what is read with the settings as they are; before that, to what the cards say they give. */
    private function servoFinding(): ?Finding
    {
        $servos = $this->context->servos($this->function);
        if ($this->last === null) {
            return $servos->judge($this->function, $this->nominal()->predict($this->record->now()), 'would be', 'Enter the ends shown before full stick is tried; then read it.');
        }

        if ($this->last->with->equals($this->record->now())) {
            return $servos->judge($this->function, $this->last->reading);
        }
        $ends = $this->predictedWith($this->record->now());

        return $ends === null ? null : $servos->judge($this->function, $ends, 'would be');
    }

    /** What it sends when set like this, going by the last reading; null: nothing is read, or the reading contradicts what was set. */
    public function predictedWith(ChannelSettings $set): ?Reading
    {
        $seen = $this->seen();

        return ($this->last?->with->reversed === $set->reversed ? $seen : $seen?->reversed())?->predict($set);
    }

    /** The channel as the last reading shows it; null: nothing is read, or the reading contradicts what was set. */
    private function seen(): ?Gimbal
    {
        try {
            return $this->last === null ? null : Gimbal::seen($this->context->handset, $this->last->reading, $this->last->with);
        } catch (DocumentError) {
            return null;
        }
    }

    public function state(): TravelState
    {
        if ($this->last === null) {
            return $this->beforehand() === null ? TravelState::Open : TravelState::Beforehand;
        }
        if (! $this->last->with->equals($this->record->now())) {
            // A direction turned round leaves what is computed to be entered.
            return $this->last->with->equals($this->record->now()->reversed()) && $this->residueUs() > $this->toleranceUs() ? TravelState::Solved : TravelState::Set;
        }
        if (! $this->isToReverse() && $this->servoFinding() === null && ($this->context->leavesHandset() || $this->residueUs() <= $this->toleranceUs())) {
            return TravelState::Confirmed;
        }

        return $this->before !== null && ! $this->before->with->equals($this->last->with) && $this->draft === null ? TravelState::Residue : TravelState::Solved;
    }

    /** What is still to be done on it; null: it is as it should be. */
    public function leftover(): ?Leftover
    {
        $off = round($this->residueUs(), 1);
        $name = ucfirst($this->function);

        return match ($this->state()) {
            TravelState::Confirmed => null,
            TravelState::Set => Leftover::attention(StepKey::Travel, (string) $this->channel, "Read $this->function again: its settings were changed."),
            TravelState::Residue => Leftover::attention(StepKey::Travel, (string) $this->channel, sprintf('%s is still %g µs off.', $name, $off)),
            TravelState::Solved => Leftover::attention(StepKey::Travel, (string) $this->channel, sprintf('%s is %g µs off; the settings that mend it are computed.', $name, $off)),
            TravelState::Open, TravelState::Beforehand => Leftover::open(StepKey::Travel, (string) $this->channel, "Read $this->function at both ends and at rest."),
        };
    }

    /** How far the reading is from where it should be (µs). */
    public function residueUs(): float
    {
        if ($this->last === null) {
            return 0.0;
        }
        [$read, $target] = [$this->last->reading, $this->target];
        $ends = max(abs($read->lo - $target->lo), abs($read->hi - $target->hi));

        return $this->centres() ? max($ends, abs($read->mid - $target->mid)) : $ends;
    }

    public function findings(): Findings
    {
        return Findings::of($this->servoFinding())->and($this->solution()?->findings);
    }

    /** @param  list<int>  $copiesTo  Channels that could take its settings over. */
    public function shown(array $copiesTo = []): TravelRowView
    {
        $explanation = $this->explanation();

        return new TravelRowView(
            $this->channel,
            $this->function,
            $this->centres(),
            $this->record->now(),
            $this->target,
            $this->context->targetWhy($this->channel, $this->function),
            $this->context->servos($this->function),
            $this->last?->reading,
            $this->solution(),
            $this->state(),
            round($this->residueUs(), 1),
            round($this->toleranceUs(), 1),
            $explanation?->sentence,
            $explanation?->model,
            $this->hidden()->sentence(),
            $this->findings(),
            $copiesTo,
            $this->record->inputWeight(),
            $this->record->mixWeight(),
        );
    }

    private function isToReverse(): bool
    {
        return $this->draft->reverse ?? false;
    }

    public function centres(): bool
    {
        return $this->context->centres($this->function) && ! $this->context->centresInController();
    }

    /** What steps and a reading leave over: half a step of the ends (a whole one inside a limit) and half of the sub-trim, and the reading itself (µs). */
    private function toleranceUs(): float
    {
        $handset = $this->context->handset;
        $perPercent = $this->context->rig->handset()->scale()->usPer100 / 100;
        $trim = $handset->subtrimStep * ($handset->model === SubtrimModel::Before ? $perPercent : $handset->usPerUnit);

        $end = $handset->stepPct * $perPercent * ($this->isLimited() ? 2 : 1);

        return self::READ_US + ($end + $trim) / 2;
    }

    private function explanation(): ?ResidueExplanation
    {
        return $this->before === null || $this->last === null || $this->before->with->equals($this->last->with)
            ? null
            : ResidueExplanation::of($this->context->handset, $this->before->reading, $this->before->with, $this->last->reading, $this->last->with);
    }

    private function hidden(): HiddenReversals
    {
        return new HiddenReversals([
            'the input weight' => $this->record->inputWeight() < 0,
            'the mix weight' => $this->record->mixWeight() < 0,
            'the output' => $this->record->now()->reversed,
        ]);
    }
}
