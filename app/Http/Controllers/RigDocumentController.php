<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TakeOffBench;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Rig\RigReader;

/** Rigs out to files and back in. */
final readonly class RigDocumentController
{
    public function export(Rig $rig, string $format): Response
    {
        return Answer::file($format === 'json' ? $rig->text() : Yaml::dump($rig->whole()->canonical()), "$rig->slug.$format");
    }

    /** A rig document as `text`; with `left`, the files that a rig taken off the bench left behind come back as well. */
    public function import(Request $request, RigReader $reader, TakeOffBench $bench): JsonResponse
    {
        $document = RequestDocument::of($request);

        return RigAnswer::of($bench->bringBack($reader->fromText($document->text('text')), $document->text('left', '')), 201);
    }
}
