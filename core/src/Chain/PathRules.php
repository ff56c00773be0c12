<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\Functions;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Supply\PowerCheck;
use Linguator\Core\Supply\Supply;
use Linguator\Core\Supply\SupplyRange;

/** Findings that belong to a path as a whole: throttle (M4), telemetry (M5), reserved channels (M6), supply in the craft (P1, P2). */
final class PathRules
{
    /**
     * M4: a controller that does not pass throttle needs a throttle pin at the last receiver.
     */
    public static function throttle(Joints $joints): ?Finding
    {
        $craft = $joints->last()->to;
        if ($craft instanceof ServoSet && ! $craft->hasThrottle()) {
            return null;
        }
        [$controller, $pin] = [null, false];
        foreach ($joints as $joint) {
            if ($joint->from instanceof Receiver && $joint->output !== null) {
                [$controller, $pin] = [null, $joint->from->hasThrottlePinBeside($joint->output)];
            }
            if ($joint->to instanceof Controller && $joint->to->passesThrottle !== true
                && ($controller === null || $joint->to->passesThrottle === false)) {
                $controller = $joint->to;
            }
        }
        $severity = match (true) {
            $controller === null => null,
            $controller->passesThrottle === false => $pin ? Severity::Note : Severity::Fix,
            default => $pin ? null : Severity::Check,
        };
        if ($controller === null || $severity === null) {
            return null;
        }

        return new Finding(Code::M4, $severity,
            $controller->passesThrottle === false ? "$controller->name does not pass throttle." : "It is not known whether $controller->name passes throttle.",
            why: $pin ? 'The throttle plug goes straight into the receiver.' : 'The receiver has no throttle pin in this mode: the motor would have no signal.',
            change: $pin ? 'Plug the throttle into the receiver, past the controller.' : 'Use a receiver with a throttle pin, or a controller that passes throttle.',
            from: $controller->id);
    }

    /**
     * M5: the receiver sends telemetry, but the chain loses it.
     */
    public static function telemetry(Joints $joints, Telemetry $telemetry): ?Finding
    {
        $receiver = $joints->boxes->lastReceiver();
        $toController = $joints->last()->to instanceof Controller;
        if ($receiver?->telemetry !== true || $telemetry === Telemetry::Full || ($telemetry === Telemetry::Link && ! $toController)) {
            return null;
        }

        return new Finding(Code::M5, Severity::Note,
            $telemetry === Telemetry::None ? "$receiver->name sends telemetry, but nothing of it reaches the handset." : "Telemetry of the link comes back; none of the controller's.",
            why: 'A wire or a converter in this chain carries nothing back.', change: 'Use a format that goes both ways all along, or do without.');
    }

    /**
     * M6: a channel the link keeps for itself is used for something else, or nobody said what it is used for.
     *
     * @param  Functions|null  $functions  Null: not told.
     */
    public static function reserved(Receiver $receiver, ?Functions $functions, int $channels): Findings
    {
        $findings = [];
        foreach ($receiver->reserved as $reserved) {
            [$channel, $for] = [$reserved->channel, $reserved->for];
            $purpose = $for === null ? 'itself' : $for;
            if ($functions === null && $channel <= $channels) {
                $findings[] = new Finding(Code::M6, Severity::Check, "The link to $receiver->name keeps channel $channel for $purpose.",
                    why: 'Any other function on it would not work, or would set off the wrong thing.', change: "Keep channel $channel free".($for === null ? '.' : ", or use it for $for only."), to: $receiver->id);
            }
            foreach ($functions ?? [] as $entry) {
                if ($entry->channel === $channel && $entry->function !== $for) {
                    $findings[] = new Finding(Code::M6, Severity::Fix, "Channel $channel carries {$entry->function}, but the link to $receiver->name keeps it for $purpose.",
                        found: $entry->function, expected: $for ?? 'nothing', why: 'The function would not get through, or would set off the wrong thing.',
                        change: "Put {$entry->function} on another channel.", to: $receiver->id);
                }
            }
        }

        return Findings::of(...$findings);
    }

    /** P1 or P2 of a box fed by the craft; null if it fits or is not known. */
    public static function feed(Box $box, ?float $feedsV): ?Finding
    {
        return $feedsV === null ? null : PowerCheck::voltage($box->name(), self::supplyOf($box), Supply::fixed($feedsV));
    }

    public static function supplyOf(Box $box): SupplyRange
    {
        return $box instanceof Receiver || $box instanceof Converter || $box instanceof Controller
            ? $box->supply
            : new SupplyRange(null, null);
    }
}
