<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Document\Plain;
use Linguator\Core\Steps\Travel\TravelDrafts;
use Linguator\Core\Steps\Travel\TravelReview;

/** What readings that are being typed would give; nothing is kept. */
final readonly class RigTravelController
{
    public function __invoke(Request $request, Rig $rig): JsonResponse
    {
        $document = $rig->rig();
        $drafts = TravelDrafts::of($document, (object) RequestDocument::of($request)->map('drafts'));

        return Answer::json(['travel' => Plain::of((new TravelReview($document, $drafts->sound))->shown()), 'problems' => (object) Plain::of($drafts->problems)]);
    }
}
