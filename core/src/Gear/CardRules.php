<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** What a schema cannot say of a card: lower limits below upper ones. */
final class CardRules
{
    /** @throws DocumentError */
    public static function check(GearCard $card): void
    {
        self::range($card->node(), 'supply', 'supply', 'min_v', 'max_v');
        foreach ($card->node()->items('inputs') as $k => $input) {
            self::level($input, "inputs.$k");
        }
        self::level($card->node()->get('input'), 'input');
        foreach ($card->node()->items('servos') as $k => $servo) {
            self::ordered($servo instanceof \stdClass ? new Node($servo) : null, "servos.$k", 'safe_lo_us', 'safe_hi_us', 'µs');
        }
    }

    private static function range(Node $card, string $key, string $path, string $low, string $high): void
    {
        self::ordered($card->get($key) instanceof \stdClass ? $card->node($key) : null, $path, $low, $high, 'V');
    }

    private static function level(mixed $input, string $path): void
    {
        self::ordered($input instanceof \stdClass ? new Node($input) : null, $path, 'level_min_v', 'level_max_v', 'V');
    }

    private static function ordered(?Node $node, string $path, string $low, string $high, string $unit): void
    {
        [$from, $to] = [$node?->numberOrNull($low), $node?->numberOrNull($high)];
        if ($from !== null && $to !== null && $from > $to) {
            throw DocumentError::at("$path.$low", "Found $from $unit, which is above $high ($to $unit); expected the lower limit below the upper.", 'upside_down');
        }
    }
}
