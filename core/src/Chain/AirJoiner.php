<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Finding\Code;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Radio;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Timing\LatencyStage;

/**
 * Judges a radio and a receiver: family, variant and frame period (M15), firmware generation (M8),
 * region (M9), channel mode (M10), channels (M12); what is needed and not known gives M13.
 */
final class AirJoiner
{
    private const TRANSIT_MS = 1.0;

    /** Of a family whose cards tell no period, ms. */
    public const UNKNOWN_PERIOD_MS = 14.0;

    private const EPSILON = 1e-9;

    private const EIGHT = '1-8';

    private const SIXTEEN = '1-16';

    /** @var array<string, Ways> */
    private array $memo = [];

    public function __construct(private readonly JoinContext $context)
    {
    }

    /** @return list<Radio> */
    public static function radiosOf(Box $sender): array
    {
        return match (true) {
            $sender instanceof Handset => $sender->radios,
            $sender instanceof Module => [$sender->radio],
            default => [],
        };
    }

    /** Every way in which the two join. */
    public function ways(Box $sender, Receiver $receiver): Ways
    {
        return $this->memo[$sender->id()."\0".$receiver->id] ??= $this->find($sender, $receiver);
    }

    private function find(Box $sender, Receiver $receiver): Ways
    {
        $joints = [];
        foreach (self::radiosOf($sender) as $radio) {
            foreach ($radio->protocols as $sent) {
                foreach ($receiver->protocols as $heard) {
                    $verdict = self::areForeign($sent, $heard) ? null : $this->judge($sender, $radio, $sent, $receiver, $heard);
                    if ($verdict instanceof Joint) {
                        $joints[] = $verdict;
                    }
                }
            }
        }

        return Ways::of($joints);
    }

    /** What parts most pairs of a shelf at a glance, before anything is judged: another family, or another variant told at both ends. */
    private static function areForeign(Protocol $sent, Protocol $heard): bool
    {
        return $sent->family !== $heard->family
            || ($sent->variant !== $heard->variant && $sent->variant !== null && $heard->variant !== null && $sent->variant !== Protocol::AUTO && $heard->variant !== Protocol::AUTO);
    }

    /** The least bad reason why the two do not join, or null if some protocols do. */
    public function nearestMisfit(Box $sender, Receiver $receiver): ?Misfit
    {
        $nearest = null;
        foreach (self::radiosOf($sender) as $radio) {
            foreach ($radio->protocols as $sent) {
                foreach ($receiver->protocols as $heard) {
                    $verdict = $this->judge($sender, $radio, $sent, $receiver, $heard);
                    if ($verdict instanceof Joint) {
                        return null;
                    }
                    if ($nearest === null || $verdict->weight() < $nearest->weight()) {
                        $nearest = $verdict;
                    }
                }
            }
        }

        return $nearest ?? Misfit::family();
    }

    private function judge(Box $sender, Radio $radio, Protocol $sent, Receiver $receiver, Protocol $heard): Joint|Misfit
    {
        if ($sent->family !== $heard->family) {
            return Misfit::family();
        }
        $judgement = new Judgement($sender, $receiver);
        $this->judgeVariant($sent, $heard, $judgement);
        $frame = $this->commonFrame($sent, $heard, $judgement);
        $this->judgeSame($sent->firmware, $heard->firmware, Code::M8, 'firmware generation', $judgement);
        $this->judgeSame($sent->region, $heard->region, Code::M9, 'region', $judgement);
        $judgement->needs($this->context->channels, $sent->channels, 'channels sent');
        $judgement->needs($this->context->channels, $heard->channels, 'channels received');
        if ($sender instanceof Handset) {
            $judgement->needs($this->context->channels, $sender->channels, "the handset's channels");
        }
        $mode = $this->channelMode($sent, $receiver, $judgement, $this->context->boundMode($sender->id(), $receiver->id));
        if ($judgement->misses !== []) {
            return new Misfit($judgement->misses);
        }
        $via = self::via($sent, $heard);

        return new Joint(
            $sender,
            $receiver,
            $via,
            self::changes($sender, $radio, $sent, $receiver, $heard, $via, $frame, $mode),
            $judgement->findings(),
            new LatencyStage("{$sender->name()} → $receiver->name, through the air", $frame ?? self::UNKNOWN_PERIOD_MS, self::TRANSIT_MS, $mode === self::SIXTEEN ? 2 : 1),
            array_filter([
                'radio' => $sender instanceof Handset ? $radio->id : null,
                'frame_ms' => $frame,
                'channel_mode' => $mode,
                'region' => $sent->region ?? $heard->region,
            ], static fn (mixed $value): bool => $value !== null),
            sent: $sent,
            heard: $heard,
        );
    }

    private function judgeVariant(Protocol $sent, Protocol $heard, Judgement $judgement): void
    {
        if ($sent->variant === Protocol::AUTO && $heard->refusesAuto) {
            $judgement->miss(Code::M15);
        } elseif ($sent->variant === Protocol::AUTO || $heard->variant === Protocol::AUTO) {
            return;
        } elseif ($sent->variant === null || $heard->variant === null) {
            $judgement->notKnown('variant');
        } elseif ($sent->variant !== $heard->variant) {
            $judgement->miss(Code::M15);
        }
    }

    /** The shortest frame period both can use, or the shortest of the one end that is known (ms). */
    private function commonFrame(Protocol $sent, Protocol $heard, Judgement $judgement): ?float
    {
        if ($sent->framesMs === null || $heard->framesMs === null) {
            $known = $sent->framesMs ?? $heard->framesMs;

            return $known === null || $known === [] ? null : min($known);
        }
        $common = array_filter($sent->framesMs, static function (float $ms) use ($heard): bool {
            foreach ($heard->framesMs ?? [] as $other) {
                if (abs($ms - $other) <= self::EPSILON) {
                    return true;
                }
            }

            return false;
        });
        if ($common === []) {
            $judgement->miss(Code::M15);

            return null;
        }

        return min($common);
    }

    private function judgeSame(?string $sent, ?string $heard, Code $code, string $what, Judgement $judgement): void
    {
        if ($sent !== null && $heard !== null && $sent !== $heard) {
            $judgement->miss($code);
        } elseif (($sent === null) !== ($heard === null)) {
            $judgement->check($code, "The $what is known of one end only (".($sent ?? $heard).').', "Ends of different $what do not hear each other.");
        }
    }

    /** Fewer channels are faster, so 1–8 is tried first where that is enough, and nothing else was bound. */
    private function channelMode(Protocol $sent, Receiver $receiver, Judgement $judgement, ?string $bound): ?string
    {
        if ($sent->modes === null) {
            return null;
        }
        $wanted = $this->context->channels <= 8 ? [self::EIGHT, self::SIXTEEN] : [self::SIXTEEN];
        // What bound is in force, whatever would be faster.
        $wanted = $bound !== null && in_array($bound, $wanted, true) ? [$bound, ...$wanted] : $wanted;
        $tried = array_values(array_unique(array_intersect($wanted, $sent->modes)));
        if ($tried === []) {
            $judgement->miss(Code::M10);

            return null;
        }
        if ($receiver->channelModes === null) {
            $judgement->check(Code::M10, "It is not known whether $receiver->name takes channel mode $tried[0].", 'Some receivers misbehave unless all 16 channels are sent.');

            return $tried[0];
        }
        $taken = array_values(array_intersect($tried, $receiver->channelModes));
        if ($taken === []) {
            $judgement->miss(Code::M10);

            return null;
        }
        if ($taken[0] !== $tried[0]) {
            $judgement->note(Code::M10, "$receiver->name does not take channel mode $tried[0]; $taken[0] is used.", 'All 16 channels go in two halves: the delay of this link doubles.');
        }

        return $taken[0];
    }

    private static function via(Protocol $sent, Protocol $heard): string
    {
        $fixed = array_values(array_filter([$sent->variant, $heard->variant], static fn (?string $variant): bool => $variant !== null && $variant !== Protocol::AUTO));
        $variant = $fixed[0] ?? ($sent->variant ?? $heard->variant);

        return $variant === null ? $sent->family : "$sent->family/$variant";
    }

    /** @return list<SettingChange> */
    private static function changes(Box $sender, Radio $radio, Protocol $sent, Receiver $receiver, Protocol $heard, string $via, ?float $frame, ?string $mode): array
    {
        $changes = [];
        if ($radio->index > 0) {
            $changes[] = new SettingChange($sender->id(), 'radio', $radio->id);
        }
        if ($sent->index > 0) {
            $changes[] = new SettingChange($sender->id(), 'protocol', $via);
        }
        if ($heard->index > 0) {
            $changes[] = new SettingChange($receiver->id, 'protocol', $via);
        }
        if ($frame !== null && $sent->framesMs !== null && abs($frame - $sent->framesMs[0]) > self::EPSILON) {
            $changes[] = new SettingChange($sender->id(), 'frame_ms', $frame);
        }
        if ($mode !== null && $mode !== ($sent->modes[0] ?? null)) {
            $changes[] = new SettingChange($sender->id(), 'channel_mode', $mode);
        }

        return $changes;
    }
}
