<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Linguator\Core\Bench\RigPlan;
use Linguator\Core\Document\Schemas;

/** The best ways for this rig over the whole shelf, by the verb `plan`. */
final readonly class RigPlanController
{
    public function __invoke(Rig $rig, Schemas $schemas): JsonResponse
    {
        $plan = new RigPlan($rig->rig(), array_map(static fn (Card $card): \stdClass => $card->gear()->document, Card::shelf()));

        return Answer::json($plan->shown($schemas));
    }
}
