<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Models\Alias;
use App\Models\Capture;
use App\Models\Card;
use App\Models\Format;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Search\BenchSearch;

/** Finds rigs, cards, formats and captures by name, by what the manual calls them, or by the numbers on the wire. */
final readonly class SearchController
{
    /** So many entries of histories are looked at, the newest first. */
    private const ENTRIES = 8;

    public function __invoke(Request $request, Schemas $schemas): JsonResponse
    {
        $text = $request->query('q');
        $search = new BenchSearch(is_string($text) ? mb_substr($text, 0, 200) : '');
        foreach (Rig::named() as $rig) {
            $search->rig($rig['slug'], $rig['name'], $rig['line'], $rig['boxes']);
        }
        foreach (Card::shelf() as $card) {
            $search->card($card->gear());
        }
        foreach (Alias::byTarget() as $target => $aliases) {
            $search->named($target, $aliases);
        }
        $search->formats();
        foreach (Format::own($schemas) as $format) {
            $search->ownFormat($format);
        }
        foreach (Capture::desk() as $capture) {
            $search->capture($capture->id, $capture->name);
        }

        $search->places();
        $search->glossary();
        foreach (RigEntry::withWords($search->words(), self::ENTRIES) as $entry) {
            $search->entry($entry['slug'], $entry['position'], $entry['text'], "$entry[name], $entry[day]");
        }

        return Answer::json(['hits' => $search->hits()]);
    }
}
