<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Moment;
use App\Actions\TakeFromField;
use App\Http\Answer;
use App\Http\FieldPackFile;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Linguator\Core\Bench\FieldPack;

/** A rig to the field and back: one file that works without the bench, and what was seen with it. */
final readonly class FieldController
{
    public function pack(Rig $rig): Response
    {
        $pack = new FieldPack($rig->whole(), $rig->uid, $rig->lastPosition(), $rig->plain(), Moment::now());

        return Answer::file(FieldPackFile::of($pack->content()), "$rig->slug-field.html");
    }

    public function preview(Request $request, TakeFromField $field): JsonResponse
    {
        return Answer::json($field->preview(RequestDocument::of($request)->text('text')));
    }

    public function take(Request $request, TakeFromField $field): JsonResponse
    {
        $document = RequestDocument::of($request);

        return RigAnswer::of($field->take($document->text('text'), $document->int('revision')));
    }
}
