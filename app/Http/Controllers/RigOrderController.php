<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\Intents;
use Linguator\Core\Document\Plain;
use Linguator\Core\Steps\Order\MovementTold;
use Linguator\Core\Steps\Order\OrderReview;

/** Judges what was seen to move; nothing is kept. */
final readonly class RigOrderController
{
    public function __invoke(Request $request, Rig $rig, Intents $intents): JsonResponse
    {
        $told = $intents->told('keep-order-check', RequestDocument::of($request)->whole());

        return Answer::json(Plain::object(MovementTold::judge(new OrderReview($rig->rig()), $told)->shown()));
    }
}
