<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** What somebody saw, or a log shows, when each stick was moved; and the check it makes. */
final class OrderObservation
{
    /**
     * From what was seen at the craft: by stick letter the letter of what moved, or null for nothing.
     *
     * @param  array<string, mixed>  $moved
     * @return array<string, array{channel: int|null, reversed: bool|null}>
     *
     * @throws DocumentError if something is named that is not a stick.
     */
    public static function fromSight(OrderReview $order, array $moved): array
    {
        $seen = [];
        foreach ($moved as $stick => $what) {
            if (Letter::tryFrom((string) $stick) === null) {
                throw DocumentError::at("moved.$stick", 'Found '.Excerpt::of($stick).'; expected a stick A, E, T or R.');
            }
            if ($what !== null && (! is_string($what) || Letter::tryFrom($what) === null)) {
                throw DocumentError::at("moved.$stick", 'Found '.Excerpt::of($what).'; expected A, E, T, R, or null for nothing.');
            }
            $seen[$stick] = ['channel' => OrderCheck::channelOfMoved($order, $what), 'reversed' => null];
        }

        return $seen;
    }

    /**
     * From the answer of the verb `movement`.
     *
     * @param  array<string, mixed>  $movement
     * @return array<string, array{channel: int|null, reversed: bool|null}>
     */
    public static function fromMovement(array $movement): array
    {
        $seen = [];
        foreach (Letter::cases() as $letter) {
            $seen[$letter->value] = ['channel' => null, 'reversed' => null];
        }
        foreach (is_array($movement['channels'] ?? null) ? $movement['channels'] : [] as $channel) {
            $letter = is_array($channel) ? ($channel['letter'] ?? null) : null;
            if (is_string($letter) && is_array($channel) && is_int($channel['channel'] ?? null)) {
                $seen[$letter] = ['channel' => $channel['channel'], 'reversed' => ($channel['reversed'] ?? null) === true];
            }
        }

        return $seen;
    }

    /** A check for the rig document, with the settings it was made with. */
    public static function asCheck(OrderCheck $check, OrderReview $order, string $at): \stdClass
    {
        $expected = array_map(static fn (array $row): string => "{$row['letter']} on {$row['expected']}", $check->rows);
        $observed = array_map(static fn (array $row): string => "{$row['letter']} on ".($row['channel'] ?? 'none'), $check->rows);

        return (object) [
            'check' => 'order',
            'result' => $check->passes() ? 'pass' : 'fail',
            'expected' => implode(', ', $expected),
            'observed' => implode(', ', $observed),
            'at' => $at,
            'made_with' => $order->settingsNow(),
        ];
    }
}
