<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\HiddenReversals;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ResidueExplanation;
use Linguator\Core\Travel\Solution;
use Linguator\Core\Travel\SubtrimModel;
use Linguator\Core\Travel\TravelSolver;

/**
 * One channel of the travel step: what was read, where it should be, what to enter, and how far it has come.
 *
 * `open` nothing read · `solved` read, settings computed · `set` settings taken, to be read again ·
 * `residue` read again and still off · `confirmed` as it should be.
 */
final readonly class TravelRow
{
    /** A reading off a screen is good to a µs. */
    private const READ_US = 1.0;

    private ChannelRecord $record;

    private ?ReadingTaken $last;

    private ?ReadingTaken $before;

    public Reading $target;

    /** @param  ReadingTaken|null  $draft  What is being typed: not kept yet. */
    public function __construct(
        private TravelContext $context,
        public int $channel,
        public string $function,
        private ?ReadingTaken $draft = null,
        private bool $reverse = false,
    ) {
        $this->record = new ChannelRecord($context->rig, $channel);
        $this->target = $context->target($channel, $function);
        $taken = $this->record->readings();
        if ($draft !== null) {
            $taken[] = $draft;
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

    /** What to enter in the handset; null while nothing is read, or the reading contradicts what was set. */
    public function solution(): ?Solution
    {
        if ($this->last === null) {
            return null;
        }
        try {
            $gimbal = Gimbal::seen($this->context->handset, $this->last->reading, $this->last->with);
        } catch (DocumentError) {
            return null;
        }
        $target = $this->context->leavesHandset() ? $this->last->reading : $this->target;

        return (new TravelSolver($this->context->handset))->solve($gimbal, $target, $this->last->with, $this->centres(), $this->reverse);
    }

    public function state(): string
    {
        if ($this->last === null) {
            return 'open';
        }
        if (! $this->last->with->equals($this->record->now())) {
            return 'set';
        }
        if (! $this->reverse && ($this->context->leavesHandset() || $this->residueUs() <= $this->toleranceUs())) {
            return 'confirmed';
        }

        return $this->before !== null && ! $this->before->with->equals($this->last->with) && $this->draft === null ? 'residue' : 'solved';
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

    /** @return list<Finding> */
    public function findings(): array
    {
        if ($this->last === null) {
            return [];
        }
        $servo = $this->last->with->equals($this->record->now()) ? $this->context->servos($this->function)->judge($this->function, $this->last->reading) : null;

        return array_values(array_filter([$servo, ...($this->solution()->findings ?? [])]));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $explanation = $this->explanation();
        $servos = $this->context->servos($this->function);

        return [
            'channel' => $this->channel,
            'function' => $this->function,
            'centres' => $this->centres(),
            'now' => $this->record->now()->toArray(),
            'target' => $this->target->toArray(),
            'target_why' => $this->context->targetWhy($this->channel, $this->function),
            'safe' => ['lo' => $servos->lo, 'hi' => $servos->hi],
            'reading' => $this->last?->reading->toArray(),
            'read_at' => $this->last?->at,
            'solution' => $this->solution()?->toArray(),
            'state' => $this->state(),
            'residue_us' => round($this->residueUs(), 1),
            'tolerance_us' => round($this->toleranceUs(), 1),
            'explanation' => $explanation?->sentence,
            'explains_model' => $explanation?->model?->value,
            'hidden' => $this->hidden()->sentence(),
            'findings' => Finding::listToArray($this->findings()),
        ];
    }

    private function centres(): bool
    {
        return $this->context->centres($this->function) && ! $this->context->centresInController();
    }

    /** What steps and a reading leave over: half a step of the ends and of the sub-trim, and the reading itself (µs). */
    private function toleranceUs(): float
    {
        $handset = $this->context->handset;
        $perPercent = $this->context->card->scale()->usPer100 / 100;
        $trim = $handset->subtrimStep * ($handset->model === SubtrimModel::Before ? $perPercent : $handset->usPerUnit);

        return self::READ_US + ($handset->stepPct * $perPercent + $trim) / 2;
    }

    private function explanation(): ?ResidueExplanation
    {
        return $this->before === null || $this->last === null || $this->before->with->equals($this->last->with)
            ? null
            : ResidueExplanation::of($this->context->handset, $this->before->reading, $this->before->with, $this->last->reading, $this->last->with);
    }

    private function hidden(): HiddenReversals
    {
        $node = $this->record->node();

        return new HiddenReversals([
            'the input weight' => ($node->numberOrNull('weight') ?? 1.0) < 0,
            'the mix weight' => ($node->numberOrNull('mix_weight') ?? 1.0) < 0,
            'the output' => $node->flag('reversed'),
        ]);
    }
}
