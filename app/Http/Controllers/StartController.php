<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DemoBench;
use App\Actions\StartRig;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The first two minutes: the demo, put on the bench and cleared from it, and one's own gear joined from one page. */
final readonly class StartController
{
    public function demo(DemoBench $demo): JsonResponse
    {
        return Answer::json($demo->here());
    }

    public function loadDemo(DemoBench $demo): JsonResponse
    {
        $demo->load();

        return Answer::json($demo->here(), 201);
    }

    public function clearDemo(DemoBench $demo): JsonResponse
    {
        return Answer::json($demo->clear());
    }

    public function start(Request $request, StartRig $start): JsonResponse
    {
        return RigAnswer::of($start(RequestDocument::of($request)->whole()), 201);
    }
}
