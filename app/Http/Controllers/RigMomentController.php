<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Plain;
use Linguator\Core\Rig\PlaceNames;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigFace;
use Linguator\Core\Rig\RigHistory;

/** A rig as it was right after an entry of its history, and two moments held against each other. */
final readonly class RigMomentController
{
    public function show(Rig $rig, int $position): JsonResponse
    {
        $log = $rig->log(max(0, $position));
        $then = (new RigHistory($rig->plain(), $log))->at($position);
        $document = RigDocument::of(RigFace::of($then) ?? $then, $log->until($position));

        return Answer::json([
            'slug' => $rig->slug,
            'position' => $position,
            'last' => $log->last(),
            'entry' => $log->entries[$position] ?? null,
            'document' => $document->document,
            'review' => Plain::of((new RigReview($document))->shown()),
        ]);
    }

    /** Two moments of this rig: `then` and `now`, the last entry unless told. */
    public function compare(Request $request, Rig $rig): JsonResponse
    {
        $log = $rig->log();
        $history = new RigHistory($rig->plain(), $log);
        $last = $log->last();
        $then = $history->at(self::position($request, 'then', $last));
        $now = $history->at(self::position($request, 'now', $last));

        return Answer::json(['differences' => array_map(static fn (array $difference): array => [
            'name' => PlaceNames::of($difference['place']),
            'then_says' => PlaceNames::value($difference['place'], $difference['then']),
            'now_says' => PlaceNames::value($difference['place'], $difference['now']),
        ] + $difference, RigHistory::compare($then, $now))]);
    }

    private static function position(Request $request, string $key, int $default): int
    {
        $value = $request->query($key);
        if ($value === null) {
            return $default;
        }

        return is_string($value) && preg_match('/^-?\d{1,9}$/D', $value) === 1 ? (int) $value : throw DocumentError::at($key, 'Expected the number of an entry in this history.');
    }
}
