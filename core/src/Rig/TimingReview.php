<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\OutputPort;
use Linguator\Core\Timing\LatencyBudget;
use Linguator\Core\Timing\LatencyStage;
use Linguator\Core\Timing\PulseTrain;
use Linguator\Core\Timing\Resolution;

/** Frames, delay and resolution along a rig's chain, and what other choices in the same boxes would give. */
final readonly class TimingReview
{
    private const US_PER_MS = 1000.0;

    private const MOST_ALTERNATIVES = 12;

    public function __construct(private RigDocument $rig, private ChainReview $chain)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'trains' => $this->trains(),
            'latency' => $this->latency(),
            'alternatives' => $this->alternatives(),
            'resolution' => $this->resolution(),
        ];
    }

    /** @return list<array<string, mixed>> Every pulse train in the chain with its budget. */
    private function trains(): array
    {
        $trains = [];
        foreach ($this->chain->path->joints ?? [] as $joint) {
            if ($joint->output?->format->id === 'ppm') {
                $trains[] = $this->train($joint, $joint->output);
            }
        }

        return $trains;
    }

    /** @return array<string, mixed> */
    private function train(Joint $joint, OutputPort $output): array
    {
        $scale = (new HandsetCard($this->rig))->scale();
        $channels = max(1, $joint->from instanceof Handset && $joint->from->channels !== null ? min($output->channels ?? 8, $joint->from->channels) : ($output->channels ?? 8));
        $used = $this->rig->functions() === null ? $channels : min($channels, count(array_unique(array_column($this->rig->functions(), 'channel'))));
        $train = new PulseTrain($joint->stage->periodMs * self::US_PER_MS, $channels, $scale->us(-100), $scale->us(100), $used);

        return [
            'from' => $joint->from->name(),
            'to' => $joint->to->name(),
            'frame_us' => $train->frame,
            'channels' => $channels,
            'used' => $used,
            'min_us' => $train->min,
            'max_us' => $train->max,
            'period_known' => $output->periodsMs !== null,
            'budget' => $train->toArray(),
            'held' => $train->held() === null ? null : ['at_us' => $train->held()->heldAt, 'verdict' => $train->held()->verdict()],
        ];
    }

    /** @return array<string, mixed>|null */
    private function latency(): ?array
    {
        $budget = $this->chain->path?->latency();

        return $budget === null ? null : ['ms' => $budget->toArray(), 'stages' => $budget->stages()];
    }

    /**
     * The same boxes with one coupling done otherwise: another protocol, channel mode, frame period or wire.
     *
     * @return list<array<string, mixed>> Fastest first.
     */
    private function alternatives(): array
    {
        $joints = $this->chain->path->joints ?? [];
        $now = $this->chain->path?->latency()->mean() ?? 0.0;
        $alternatives = [];
        foreach ($joints as $k => $chosen) {
            foreach ($this->waysOf($k, $chosen) as [$what, $stage]) {
                $stages = array_map(static fn (Joint $joint): LatencyStage => $joint->stage, $joints);
                $stages[$k] = $stage;
                $budget = new LatencyBudget(array_values($stages));
                $alternatives[] = ['what' => $what, 'where' => "{$chosen->from->name()} → {$chosen->to->name()}", 'ms' => $budget->toArray(), 'gain_ms' => round($now - $budget->mean(), 2)];
            }
        }
        usort($alternatives, static fn (array $a, array $b): int => $a['ms']['mean'] <=> $b['ms']['mean']);

        return array_slice($alternatives, 0, self::MOST_ALTERNATIVES);
    }

    /** @return list<array{string, LatencyStage}> What else this coupling could be, with the stage it would make. */
    private function waysOf(int $k, Joint $chosen): array
    {
        $ways = [];
        foreach ($this->chain->waysAt($k) as $joint) {
            if ($joint->via !== $chosen->via || ($joint->link['port'] ?? null) !== ($chosen->link['port'] ?? null)) {
                $label = $joint->isAir() ? SettingNames::air($joint->via) : $joint->output->format->name ?? $joint->via;
                $ways[$label.$joint->stage->periodMs] = [sprintf('%s, %g ms', $label, $joint->stage->periodMs), $joint->stage];
            }
        }
        if ($chosen->isAir() && in_array('1-16', $chosen->sent->modes ?? [], true)) {
            $sixteen = ($chosen->link['channel_mode'] ?? null) === '1-16';
            $ways['mode'] = [$sixteen ? 'channels 1–8 only' : 'all 16 channels, in two halves', new LatencyStage($chosen->stage->name, $chosen->stage->periodMs, $chosen->stage->transitMs, $sixteen ? 1 : 2)];
        }
        foreach ($this->otherPeriods($chosen) as $period) {
            $ways["p$period"] = [sprintf('a frame every %g ms', $period), new LatencyStage($chosen->stage->name, $period, $chosen->stage->transitMs, $chosen->stage->phases)];
        }

        return array_values($ways);
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

    /** @return array<string, mixed> */
    private function resolution(): array
    {
        $scale = (new HandsetCard($this->rig))->scale();
        $stages = [];
        foreach ($this->chain->path->joints ?? [] as $joint) {
            $levels = $joint->isAir() ? self::levelsOnAir($joint) : $joint->output?->format->levels;
            if ($levels !== null) {
                $stages[] = ['name' => $joint->isAir() ? SettingNames::air($joint->via) : $joint->output->format->name ?? '', 'levels' => $levels];
            }
        }
        $resolution = new Resolution($stages, 2 * $scale->usPer100);

        return ['stages' => $resolution->stages(), 'coarsest' => $resolution->coarsest()];
    }

    private static function levelsOnAir(Joint $joint): ?int
    {
        $known = array_filter([$joint->sent?->levels, $joint->heard?->levels], is_int(...));

        return $known === [] ? null : min($known);
    }
}
