<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Card;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\GearCard;

/** Puts gear cards on the shelf. */
final readonly class SaveCards
{
    /**
     * Adds one card.
     *
     * @throws DocumentError if its id is taken.
     */
    public function add(GearCard $gear): Card
    {
        return DB::transaction(function () use ($gear): Card {
            if (Card::query()->whereKey($gear->id)->exists()) {
                throw DocumentError::at('id', "A card \"$gear->id\" is on the shelf already; choose another id.", 'duplicate_id');
            }
            $card = Card::from($gear);
            $card->revision = 1;
            $card->save();

            return $card;
        });
    }

    /**
     * Writes a changed card.
     *
     * @throws Conflict if it has been changed since that revision.
     * @throws DocumentError if the id is another.
     */
    public function replace(Card $card, int $revision, GearCard $gear): Card
    {
        if ($gear->id !== $card->id) {
            throw DocumentError::at('id', "Found the id \"$gear->id\"; expected \"$card->id\". An id stays; duplicate the card for another one.");
        }

        return DB::transaction(function () use ($card, $revision, $gear): Card {
            $fresh = Card::query()->findOrFail($card->id);
            if ($fresh->revision !== $revision) {
                throw new Conflict("The card $fresh->name has been changed in another tab or window since this page read it.", ['revision' => $fresh->revision]);
            }
            $fresh->update(Card::columns($gear) + ['revision' => $revision + 1]);

            return $fresh->refresh();
        });
    }

    /**
     * Takes in a file of cards, all or none. A card that is there already and differs is left alone unless told otherwise.
     *
     * @param  list<GearCard>  $cards
     * @return array{added: list<string>, replaced: list<string>, same: list<string>, kept: list<string>}
     */
    public function import(array $cards, bool $replace): array
    {
        self::refuseTwins($cards);

        return DB::transaction(static function () use ($cards, $replace): array {
            $report = ['added' => [], 'replaced' => [], 'same' => [], 'kept' => []];
            foreach ($cards as $gear) {
                $report[self::put($gear, $replace)][] = $gear->id;
            }

            return $report;
        });
    }

    /** @return 'added'|'replaced'|'same'|'kept' */
    private static function put(GearCard $gear, bool $replace): string
    {
        $there = Card::query()->find($gear->id);
        $columns = Card::columns($gear);
        if ($there === null) {
            Card::query()->create(['id' => $gear->id, 'revision' => 1] + $columns);

            return 'added';
        }
        if ($there->document === $columns['document']) {
            return 'same';
        }
        if (! $replace) {
            return 'kept';
        }
        $there->update($columns + ['revision' => $there->revision + 1]);

        return 'replaced';
    }

    /** @param  list<GearCard>  $cards */
    private static function refuseTwins(array $cards): void
    {
        $seen = [];
        foreach ($cards as $k => $gear) {
            if (isset($seen[$gear->id])) {
                throw DocumentError::at("$k.id", "The id \"$gear->id\" stands in this file twice; expected each once.", 'duplicate_id');
            }
            $seen[$gear->id] = true;
        }
    }
}
