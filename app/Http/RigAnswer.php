<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Attachment;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Plain;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Rig\HistoryRuns;
use Linguator\Core\Rig\RigDocument;

/** A rig as the screens want it: the document, everything computed from it, and its history, newest first. */
final class RigAnswer
{
    /** What is shown of an entry. */
    private const TOLD = ['at' => true, 'kind' => true, 'text' => true, 'undoes' => true];

    public static function of(Rig $rig, int $status = 200): JsonResponse
    {
        $last = $rig->lastPosition();
        $log = $rig->recent();
        $document = $rig->rig($log);
        $runs = HistoryRuns::of($log);
        $history = [];
        foreach (array_reverse($log->entries, true) as $position => $entry) {
            $history[] = ['position' => $position, 'standing' => $log->isStanding($position), 'run' => Plain::of($runs[$position] ?? null), 'entry' => array_intersect_key(get_object_vars($entry), self::TOLD)];
        }

        return Answer::json([
            'slug' => $rig->slug,
            'revision' => $rig->revision,
            'document' => $document->document,
            'review' => Plain::of((new RigReview($document, $rig->othersOfHandset()))->shown()),
            'history' => $history,
            'history_total' => $last + 1,
            'undo' => $log->lastStanding() ?? ($last < Rig::RECENT ? null : $rig->lastStanding()),
            'shares_memory_with' => array_map(static fn (Rig $other): array => ['slug' => $other->slug, 'name' => $other->name], $rig->sharingMemory()),
            'attachments' => array_values(array_map(static fn (Attachment $file): array => ['position' => $file->position] + $file->listed(), Attachment::query()->where('rig_id', $rig->id)->get(Attachment::LISTED)->sortBy('id')->all())),
            'newer_cards' => self::newerCards($document),
        ], $status);
    }

    /** @return list<array{id: string, name: string}> Cards that have been edited on the shelf since this rig took its copy. */
    private static function newerCards(RigDocument $rig): array
    {
        $newer = [];
        $cards = $rig->cards;
        $onShelf = Card::query()->whereKey(array_map(static fn (GearCard $card): string => $card->id, $cards))->pluck('document', 'id');
        foreach ($cards as $card) {
            if (isset($onShelf[$card->id]) && $onShelf[$card->id] !== Json::compact($card->document)) {
                $newer[] = ['id' => $card->id, 'name' => $card->name];
            }
        }

        return $newer;
    }
}
