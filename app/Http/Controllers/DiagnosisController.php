<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadCapture;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Capture;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\CaptureSymptoms;
use Linguator\Core\Bench\KnownFaults;
use Linguator\Core\Bench\RigSymptoms;
use Linguator\Core\Document\Plain;

/** What is known of faults, and what a rig says of itself when one is looked for. */
final readonly class DiagnosisController
{
    public function known(): JsonResponse
    {
        return Answer::json(Plain::of(new KnownFaults));
    }

    public function symptoms(Rig $rig): JsonResponse
    {
        return Answer::json(Plain::of((new RigSymptoms($rig->whole()))->shown()));
    }

    /** What a capture on the desk answers, made at the output of the craft's receiver. */
    public function capture(Request $request, Rig $rig, ReadCapture $read): JsonResponse
    {
        $capture = Capture::onDesk(RequestDocument::of($request)->int('capture'), 'capture');
        $symptoms = (new CaptureSymptoms($rig->whole()))->of($read->decode($capture, new \stdClass), $capture->name);

        return Answer::json(Plain::of((object) ['symptoms' => $symptoms]));
    }
}
