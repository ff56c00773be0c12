<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;
use Linguator\Core\Document\Yaml;

/** Generic cards to begin from (core/data/starters.yaml), for somebody who has the box in the hand. */
final class Starters
{
    /** @return list<Starter> */
    public static function all(): array
    {
        $list = Yaml::decodeAll((string) file_get_contents(dirname(__DIR__, 2).'/data/starters.yaml'))[0]['value'];

        return array_map(self::read(...), array_values(is_array($list) ? $list : []));
    }

    private static function read(mixed $entry): Starter
    {
        $starter = new Node($entry instanceof \stdClass ? $entry : new \stdClass);
        $check = $starter->texts('check');
        $card = $starter->node('card')->value ?? new \stdClass;
        // What to check stays with the card until somebody has.
        $card->notes = "Begun from: {$starter->text('title')}. To check: ".implode('; ', $check).'.';

        return new Starter($starter->text('title'), $starter->text('hint'), $check, $card);
    }
}
