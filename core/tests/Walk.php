<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\Plain;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\Reading;

/**
 * Somebody who does what the screens ask, one thing after the other, until the rig is signed off or nothing that can be done is left.
 * Gear answers as its cards say; whatever needs a person's decision was made beforehand, or is left as it is.
 */
final class Walk
{
    private const MOST_DEEDS = 120;

    private const BY = 'Wren';

    /** @var list<string> What was done, as told to the intents. */
    public array $done = [];

    private int $second = 0;

    /** @param  array<string, string>  $leaves  What is left as it is, by place, with its reason. */
    private function __construct(public RigDocument $rig, private readonly array $leaves)
    {
    }

    /**
     * @param  array<string, string>  $leaves
     *
     * @throws \LogicException when the screens ask for nothing that can be done, and it is not signed off.
     */
    public static function toTheEnd(RigDocument $rig, array $leaves = []): self
    {
        $walk = new self($rig, $leaves);
        while (count($walk->done) < self::MOST_DEEDS && $walk->step()) {
        }

        return $walk;
    }

    public function review(): \stdClass
    {
        return json_decode((string) json_encode(Plain::of((new RigReview($this->rig))->shown()), JSON_PRESERVE_ZERO_FRACTION));
    }

    /** Whether there was something to do. */
    private function step(): bool
    {
        $review = $this->review();
        if ($review->next->label === 'Ready') {
            return false;
        }
        $deed = $this->order($review) ?? $this->leftover($review) ?? $this->check($review) ?? ($review->readiness->ready ? ['sign-off', ['by' => self::BY]] : null);
        if ($deed === null) {
            return false;
        }
        [$intent, $told] = $deed;
        $this->done[] = "$intent ".json_encode($told);
        $told = json_decode((string) json_encode($told, JSON_PRESERVE_ZERO_FRACTION));
        $at = sprintf('2026-11-21T10:%02d:%02dZ', intdiv($this->second, 60), $this->second % 60);
        $this->second++;
        $this->rig = Situations::done($this->rig, $intent, $told, new Occasion($at, Situations::shelf()));

        return true;
    }

    /** @return array{string, array<string, mixed>}|null */
    private function order(\stdClass $review): ?array
    {
        return $review->order->right !== true && $review->order->fixes !== [] ? ['mend-order', ['at' => $review->order->fixes[0]->at]] : null;
    }

    /** @return array{string, array<string, mixed>}|null */
    private function leftover(\stdClass $review): ?array
    {
        foreach ($review->readiness->leftovers as $leftover) {
            if ($leftover->left !== null) {
                continue;
            }
            if (isset($this->leaves[$leftover->what])) {
                return ['leave-as-is', ['what' => $leftover->what, 'reason' => $this->leaves[$leftover->what], 'by' => self::BY]];
            }
            $deed = $this->work($review, ...explode('/', $leftover->what));
            if ($deed !== null) {
                return $deed;
            }
        }

        return null;
    }

    /** @return array{string, array<string, mixed>}|null */
    private function work(\stdClass $review, string $step, string $what, string $of = ''): ?array
    {
        return match (true) {
            preg_match('/^[a-z]\d+$/D', $what) === 1 && $step !== 'travel' => null,
            $step === 'path' && $of !== '' => ['tick-setting', ['box' => $what, 'setting' => $of, 'done' => true]],
            "$step/$what" === 'wiring/table' => ['tell-wired', ['wired' => true]],
            "$step/$what" === 'travel/calibration' => ['tick-handset', ['item' => $what, 'done' => true]],
            $step === 'travel' && ctype_digit($what) => $this->travel($review, (int) $what),
            $step === 'travel' => $this->thresholds($review),
            $step === 'switches' => ['assign-switch', ['function' => $what]],
            default => null,
        };
    }

    /** @return array{string, array<string, mixed>}|null */
    private function travel(\stdClass $review, int $channel): ?array
    {
        $row = array_values(array_filter($review->travel->rows, static fn (\stdClass $row): bool => $row->channel === $channel))[0];
        if ($row->solution !== null && in_array($row->state, ['beforehand', 'solved', 'residue'], true)) {
            return ['take-settings', ['channels' => [$channel]]];
        }
        $reading = $row->reading === null ? $this->byTheCards($row->now) : $row->solution?->predicted;

        return $reading === null ? null : ['keep-reading', ['channel' => $channel, 'lo' => round($reading->lo, 1), 'mid' => round($reading->mid, 1), 'hi' => round($reading->hi, 1)]];
    }

    private function byTheCards(\stdClass $now): Reading
    {
        $handset = $this->rig->handset();

        return Gimbal::nominal($handset->travel(), $handset->scale())->predict(new ChannelSettings((float) $now->lo_pct, (float) $now->hi_pct, (float) $now->subtrim, $now->reversed));
    }

    /** @return array{string, array<string, mixed>}|null */
    private function thresholds(\stdClass $review): ?array
    {
        $set = $review->travel->thresholds;
        $suggested = array_filter(get_object_vars($set->suggested ?? new \stdClass), static fn (mixed $value, string $key): bool => is_numeric($value) && $value != $set->{$key}, ARRAY_FILTER_USE_BOTH);

        return $suggested === [] ? null : ['set-thresholds', $suggested];
    }

    /** @return array{string, array<string, mixed>}|null */
    private function check(\stdClass $review): ?array
    {
        foreach ($review->readiness->redo as $redo) {
            $hop = $redo->hop === null ? null : array_values(array_filter($review->failsafe->hops, static fn (\stdClass $hop): bool => $hop->hop === $redo->hop))[0];
            $deed = match ($redo->check) {
                // What was stored at bind went stale: it is bound again when it is stored.
                'bind' => $hop->stale === [] ? ['prove-bind', ['hop' => $redo->hop, 'passed' => true, 'by' => self::BY]] : null,
                'order' => ['keep-order-check', ['moved' => ['A' => 'A', 'E' => 'E', 'T' => 'T', 'R' => 'R'], 'by' => self::BY]],
                'failsafe_set' => $this->failsafe($hop),
                'failsafe_tested' => $this->loss($hop),
                default => ['make-check', ['check' => $redo->check, 'passed' => true, 'observed' => 'as it should be', 'by' => self::BY]],
            };
            if ($deed !== null) {
                return $deed;
            }
        }

        return null;
    }

    /**
     * As recommended; what somebody set already is set again as it was, where it went stale.
     *
     * @return array{string, array<string, mixed>}|null
     */
    private function failsafe(\stdClass $hop): ?array
    {
        if ($hop->severity === 'stop' && $hop->is_set && $hop->stale === [] && $hop->mode === $hop->recommended) {
            return null;
        }
        $again = $hop->is_set && $hop->stale !== [] && $hop->outcome !== 'holds_last';
        $mode = $again ? $hop->mode : $hop->recommended;

        return $mode === null ? null : ['set-failsafe', ['hop' => $hop->hop, 'mode' => $mode]
            + ($hop->ways === [] ? [] : ['set_by' => $again ? $hop->set_by : $hop->ways[0]->way])
            + ($mode === 'stored' ? ['stored_us' => $again ? $hop->stored_us : $this->safe($hop)] : [])];
    }

    /** @return list<float|null> */
    private function safe(\stdClass $hop): array
    {
        $stored = [];
        foreach ($hop->stored_channels as $channel) {
            $stored = array_pad($stored, $channel->channel - 1, null);
            $stored[] = $channel->safe_us;
        }

        return $stored;
    }

    /** @return array{string, array<string, mixed>}|null */
    private function loss(\stdClass $hop): ?array
    {
        foreach ($hop->tests as $test) {
            if (! $test->holds && ($test->may_pass || $test->choices !== [])) {
                return ['test-failsafe', ['hop' => $hop->hop, 'cut' => $test->cut, 'passed' => true, 'observed' => $test->see, 'by' => self::BY] + ($test->choices === [] ? [] : ['shows' => 'motor_stops'])];
            }
        }

        return null;
    }
}
