<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\CaptureUpload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\Services;
use Linguator\Core\Verb\Verbs;

final readonly class VerbController
{
    public function index(): JsonResponse
    {
        return Answer::json(['verbs' => array_map(static fn (string $class): string => $class::summary(), Verbs::all())]);
    }

    public function ask(Request $request, string $verb, Verbs $verbs): JsonResponse
    {
        return Answer::json($verbs->askText($verb, $request->getContent()));
    }

    /** The verb `decode`: a capture as a file, what is told of it as fields. */
    public function decode(Request $request, Schemas $schemas, Services $services): JsonResponse
    {
        $upload = CaptureUpload::of($request);

        return Answer::json((new Verbs($schemas, $services->with(new Source($upload->stream()))))->ask(Verbs::DECODE, $upload->options));
    }
}
