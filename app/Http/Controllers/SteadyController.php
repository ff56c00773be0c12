<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\RigSteady;
use Linguator\Core\Bench\SteadyRehearsal;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;

/** Readings without typing: what is to be held, and whether it is held now. Nothing is kept here. */
final readonly class SteadyController
{
    public function show(Rig $rig): JsonResponse
    {
        return Answer::json(['asks' => (new RigSteady($rig->rig()))->asks()]);
    }

    public function held(Request $request, Rig $rig, Schemas $schemas): JsonResponse
    {
        $told = new Node($schemas->check(RequestDocument::of($request)->whole(), 'steady-question.schema.json'));

        return Answer::json((new RigSteady($rig->rig()))->held($told->text('function'), RigSteady::log($told), $told->numberOrNull('taken')));
    }

    /** The stand-in holds one after the other, to try it without gear; nothing of it is a reading. */
    public function standIn(Request $request, Rig $rig, Formats $formats): JsonResponse
    {
        return Answer::json(['log' => (new SteadyRehearsal($rig->whole(), $formats))->held(RequestDocument::of($request)->text('kind'))]);
    }
}
