<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\MovementAnalysis;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** What somebody saw, or a log shows, when each stick was moved. */
final class OrderObservation
{
    /**
     * From what was seen at the craft: by stick letter the letter of what moved, or null for nothing.
     *
     * @return array<string, Seen>
     *
     * @throws DocumentError if something is named that is not a stick.
     */
    public static function fromSight(OrderReview $order, \stdClass $moved): array
    {
        $seen = [];
        foreach (get_object_vars($moved) as $stick => $what) {
            $stick = (string) $stick;
            if (Letter::tryFrom($stick) === null) {
                throw DocumentError::at("moved.$stick", 'Found '.Excerpt::of($stick).'; expected a stick A, E, T or R.');
            }
            if ($what !== null && (! is_string($what) || Letter::tryFrom($what) === null)) {
                throw DocumentError::at("moved.$stick", 'Found '.Excerpt::of($what).'; expected A, E, T, R, or null for nothing.');
            }
            $seen[$stick] = new Seen(self::channelOf($order, $what));
        }

        return $seen;
    }

    /** @return array<string, Seen> */
    public static function fromMovement(MovementAnalysis $movement): array
    {
        $seen = [];
        foreach (Letter::cases() as $letter) {
            $seen[$letter->value] = new Seen(null);
        }
        foreach ($movement->channels() as $channel) {
            if ($channel->letter !== null) {
                $seen[$channel->letter->value] = new Seen($channel->channel, $channel->reversed === true);
            }
        }

        return $seen;
    }

    /** The channel on which something that moved is read; null for nothing. */
    private static function channelOf(OrderReview $order, ?string $letter): ?int
    {
        $moved = $letter === null ? null : Letter::tryFrom($letter);
        if ($moved === null || $order->trace === null) {
            return null;
        }

        return $order->isMendedByPlugs() ? $order->trace->arriving()->channelOf($moved) : $order->trace->reader->channelOf($moved);
    }
}
