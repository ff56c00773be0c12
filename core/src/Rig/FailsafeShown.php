<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\ThrottleWay;
use Linguator\Core\Finding\Finding;

/** Failsafe as the screen shows it: the verb's answer with how it is set on this receiver, what to store, and how it is tested. */
final readonly class FailsafeShown
{
    private const MODES = [
        'hold' => 'hold the last values',
        'stored' => 'go to stored values',
        'none' => 'stop all output',
        'flag' => 'raise the flag of the format',
    ];

    public function __construct(private RigDocument $rig, private FailsafeReview $review)
    {
    }

    /** @return list<array<string, mixed>> */
    public function hops(): array
    {
        return array_map($this->hop(...), $this->review->hops);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'hops' => $this->hops(),
            'recovery' => $this->review->toArray()['recovery'],
        ];
    }

    /** @return array<string, mixed> */
    private function hop(FailsafeHop $hop): array
    {
        $recorded = $hop->recorded();

        return [
            'hop' => $hop->number,
            'receiver' => $hop->receiver()->name,
            'is_last' => $hop->next === null,
            'mode' => $hop->mode(),
            'mode_says' => self::MODES[$hop->mode() ?? ''] ?? 'not known',
            'outcome' => $hop->outcome()->value,
            'says' => $hop->outcome()->sentence(),
            'severity' => $hop->severity()->value,
            'because' => $hop->because(),
            'findings' => Finding::listToArray($hop->findings()),
            'recommended' => $this->review->recommended($hop),
            'recommended_why' => $this->review->why($hop),
            'modes' => array_map(static fn (string $mode): array => ['mode' => $mode, 'says' => self::MODES[$mode] ?? $mode], $hop->modes() ?? array_keys(self::MODES)),
            'ways' => array_map(fn (string $way): array => ['way' => $way, 'says' => $this->howTo($hop, $way)], $hop->ways() ?? ['handset', 'button', 'bind', 'module']),
            'is_set' => $hop->isSet(),
            'set_by' => $recorded->textOrNull('set_by'),
            'stored_us' => $recorded->get('stored_us'),
            'set_at' => $hop->setAt(),
            'stale' => $hop->setReasons(),
            'stored_channels' => $this->storedChannels($hop),
            'tested' => $hop->isTested(),
            'test' => $this->test($hop),
        ];
    }

    /** The exact way to set it on this receiver. */
    private function howTo(FailsafeHop $hop, string $way): string
    {
        $receiver = $hop->receiver()->name;
        $sender = $this->senderName($hop);
        $sticks = 'throttle '.($this->rig->motorOffAtCentre() ? 'in the middle' : 'low').', sticks centred, switches off and neutral';

        return match ($way) {
            'handset' => "In the failsafe menu of {$this->rig->boxes[0]->name()}.",
            'button' => "Hold the controls as they should be on loss ($sticks), then press the button of $receiver until its light answers.",
            'bind' => "It is stored while binding: $sticks, and bind again.",
            'module' => "Hold the controls as they should be on loss ($sticks), then press the failsafe button of $sender.",
            default => $way,
        };
    }

    private function senderName(FailsafeHop $hop): string
    {
        $before = $this->rig->boxes[0];
        foreach ($this->rig->boxes as $box) {
            if ($box === $hop->receiver()) {
                break;
            }
            $before = $box;
        }

        return $before->name();
    }

    /**
     * The channels that matter when values are stored, as this receiver puts them out, with what to store for a safe loss.
     *
     * @return list<array{channel: int, function: string, safe_us: float}>
     */
    private function storedChannels(FailsafeHop $hop): array
    {
        $way = new ThrottleWay($this->rig);
        $throttle = $way->receiverChannel($hop->number);
        $channels = [];
        foreach ($this->rig->functions() ?? [] as ['function' => $function, 'channel' => $channel]) {
            $isThrottle = $function === 'throttle';
            $at = $isThrottle ? ($throttle ?? $channel) : ($way->atReceiver($hop->number, $channel) ?? $channel);
            $ends = (new ChannelRecord($this->rig, $channel))->ends();
            $reversed = (new ChannelRecord($this->rig, $channel))->now()->reversed;
            $low = $reversed ? ($ends->hi ?? 2000.0) : ($ends->lo ?? 1000.0);
            $channels[] = ['channel' => $at, 'function' => $function, 'safe_us' => $isThrottle && ! $this->rig->motorOffAtCentre() ? $low : ($channel > 4 ? $this->switchOff($function) : ($ends->mid ?? 1500.0))];
        }
        usort($channels, static fn (array $a, array $b): int => $a['channel'] <=> $b['channel']);

        return $channels;
    }

    /** What a switch sends in its power-up position. */
    private function switchOff(string $function): float
    {
        foreach ($this->rig->settings()->nodes('switches') as $entry) {
            if ($entry->text('function') === $function) {
                $measured = $entry->numbersOrNull('levels_us') ?? [];
                $curve = $entry->numbersOrNull('curve') ?? [];
                $off = ($entry->intOrNull('power_up') ?? 1) - 1;

                return $measured[$off] ?? (new HandsetCard($this->rig))->scale()->us($entry->number('weight', 100.0) * ($curve[$off] ?? -100.0) / 100 + $entry->number('offset', 0.0));
            }
        }

        return 1500.0;
    }

    /** @return array<string, mixed> */
    private function test(FailsafeHop $hop): array
    {
        $last = $hop->lastTest();
        $handset = $this->rig->boxes[0]->name();

        return [
            'safety' => 'Propellers off, or wheels and hull clear of the ground or water. Nobody in the plane of a rotor.',
            'do' => $hop->next === null && count($this->review->hops) > 1
                ? "Throttle up a little, pull the power of {$this->senderName($hop)}, watch the craft."
                : ($hop->next === null ? "Throttle up a little, switch $handset off, watch the craft." : "Throttle up a little, switch $handset off, watch the craft beyond the relay."),
            'see' => $hop->outcome()->sentence(),
            'result' => $last?->text('result'),
            'observed' => $last?->textOrNull('observed'),
            'at' => $last?->textOrNull('at'),
            'by' => $last?->textOrNull('by'),
            'reasons' => $hop->testReasons(),
        ];
    }
}
