<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\CaptureUpload;
use App\Models\Format;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Verb\DecodeVerb;

/** The verb `decode`: a capture as a file, what is told of it as fields. */
final readonly class DecodeController
{
    public function __invoke(Request $request, Schemas $schemas): JsonResponse
    {
        $upload = CaptureUpload::of($request);

        return Answer::json((new DecodeVerb($schemas, Format::own($schemas)))(new Source($upload->stream()), $upload->options));
    }
}
