<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** A card begun from a starter, with what was said of the box at once: its name, and the air protocol it speaks. */
final readonly class BegunCard
{
    /**
     * @param  string  $id  A free one.
     * @param  string  $name  What is printed on it, or what it is called at the bench.
     * @param  \stdClass|null  $air  With `family` and `variant`; null: not known yet. A kind of box without a radio takes none.
     */
    public static function document(Starter $starter, string $id, string $name, ?\stdClass $air): \stdClass
    {
        $card = (object) (['id' => $id, 'name' => $name] + get_object_vars(clone $starter->card));
        if ($air !== null) {
            match ($card->kind ?? null) {
                Kind::Handset->value => $card->radios = [(object) ['id' => 'inside', 'protocols' => [$air]]],
                Kind::Module->value, Kind::Receiver->value => $card->protocols = [$air],
                default => null,
            };
        }

        return $card;
    }
}
